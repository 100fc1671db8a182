/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.layout.internal;

import org.jspecify.annotations.NullMarked;
