/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.words.internal;

import org.jspecify.annotations.NullMarked;
