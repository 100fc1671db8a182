/** What a verifier looks at: a sample that anybody can draw again. */
@NullMarked
package app.galdrin.core.moderation;

import org.jspecify.annotations.NullMarked;
