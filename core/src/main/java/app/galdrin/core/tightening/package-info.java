/** Kind of step that asks for the torque of fasteners, by what they hold. */
@NullMarked
package app.galdrin.core.tightening;

import org.jspecify.annotations.NullMarked;
