/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.procedure.internal;

import org.jspecify.annotations.NullMarked;
