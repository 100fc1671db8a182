/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.moderation.internal;

import org.jspecify.annotations.NullMarked;
