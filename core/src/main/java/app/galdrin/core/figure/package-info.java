/**
 * Figures that a task asks for and a sheet limits, by measurand, place and steering position; their units, sign words and order of adjusting.
 *
 * <p>Frame: x forward, y to the left, z up from the plane the wheels stand on; s = +1 for a left wheel, −1 for a right one. Toe is
 * positive inward, camber top outward, caster top rearward, KPI top inward, thrust to the right, setback with the right
 * front wheel behind, steer to the left. Angles are rad, lengths mm; the formats outside have degrees and millimetres.
 */
@NullMarked
package app.galdrin.core.figure;

import org.jspecify.annotations.NullMarked;
