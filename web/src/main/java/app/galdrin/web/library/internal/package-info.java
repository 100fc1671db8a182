/** What other features do not see. */
@NullMarked
package app.galdrin.web.library.internal;

import org.jspecify.annotations.NullMarked;
