/**
 * Wheels, steering axes and the floor they stand on, in the frame of {@code docs/conventions.md}: x forward, y left, z up from
 * the plane the wheels stand on. Angles are radians.
 */
@NullMarked
package app.galdrin.core.geometry;

import org.jspecify.annotations.NullMarked;
