/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.marking.internal;

import org.jspecify.annotations.NullMarked;
