/** Working on paper: intermediate figures, and what follows from rounded ones. */
@NullMarked
package app.galdrin.core.procedure.paper;

import org.jspecify.annotations.NullMarked;
