/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.classes.internal;

import org.jspecify.annotations.NullMarked;
