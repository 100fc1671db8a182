/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.personal.internal;

import org.jspecify.annotations.NullMarked;
