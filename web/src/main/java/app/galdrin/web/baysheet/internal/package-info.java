/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.baysheet.internal;

import org.jspecify.annotations.NullMarked;
