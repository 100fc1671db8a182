/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.help.internal;

import org.jspecify.annotations.NullMarked;
