/** Mistakes that people make and the marker knows by name. */
@NullMarked
package app.galdrin.core.procedure.slip;

import org.jspecify.annotations.NullMarked;
