/** The verifier's sample, which anybody can draw again. */
@NullMarked
package app.galdrin.core.moderation;

import org.jspecify.annotations.NullMarked;
