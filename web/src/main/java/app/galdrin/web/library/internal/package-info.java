/** The pages of vehicles and sheets. */
@NullMarked
package app.galdrin.web.library.internal;

import org.jspecify.annotations.NullMarked;
