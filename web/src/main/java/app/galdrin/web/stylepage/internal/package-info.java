/** What other features do not see. */
@NullMarked
package app.galdrin.web.stylepage.internal;

import org.jspecify.annotations.NullMarked;
