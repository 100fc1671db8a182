/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.demo.internal;

import org.jspecify.annotations.NullMarked;
