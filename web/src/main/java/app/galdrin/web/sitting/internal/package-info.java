/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.sitting.internal;

import org.jspecify.annotations.NullMarked;
