/**
 * Steering linkage: what a turn of a track rod does and which turns bring a wheel to its target.
 */
@NullMarked
package app.galdrin.core.steering;

import org.jspecify.annotations.NullMarked;
