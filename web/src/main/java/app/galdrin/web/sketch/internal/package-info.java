/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.sketch.internal;

import org.jspecify.annotations.NullMarked;
