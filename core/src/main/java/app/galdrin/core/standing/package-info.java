/** Kind of step that says how the vehicle stands to be measured: on what, how held, settled, on which floor. */
@NullMarked
package app.galdrin.core.standing;

import org.jspecify.annotations.NullMarked;
