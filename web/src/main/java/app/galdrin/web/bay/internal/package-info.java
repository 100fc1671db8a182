/** The pages of bays. */
@NullMarked
package app.galdrin.web.bay.internal;

import org.jspecify.annotations.NullMarked;
