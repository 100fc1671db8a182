/** The page of the workshop and what is done on it. */
@NullMarked
package app.galdrin.web.workshop.internal;

import org.jspecify.annotations.NullMarked;
