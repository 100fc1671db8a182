/** Filters and what they watch. */
@NullMarked
package app.galdrin.web.gate.internal;

import org.jspecify.annotations.NullMarked;
