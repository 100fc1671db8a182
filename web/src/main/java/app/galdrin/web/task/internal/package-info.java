/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.task.internal;

import org.jspecify.annotations.NullMarked;
