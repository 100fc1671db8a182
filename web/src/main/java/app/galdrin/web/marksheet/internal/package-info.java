/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.marksheet.internal;

import org.jspecify.annotations.NullMarked;
