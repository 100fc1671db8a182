/**
 * Steering linkage: what a turn of a track rod does and which turns bring a wheel to its target; threads, rack, turn-out and bump.
 * Lengths are mm, angles rad: toe-in, steer to the left and a lengthened rod are positive, and bump is travel upward. Linkage behind
 * the axle: lengthening a rod turns its wheel toe-in; ahead of it, toe-out.
 */
@NullMarked
package app.galdrin.core.steering;

import org.jspecify.annotations.NullMarked;
