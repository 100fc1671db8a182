/** Internals that other features do not see. */
@NullMarked
package app.galdrin.web.account.internal;

import org.jspecify.annotations.NullMarked;
