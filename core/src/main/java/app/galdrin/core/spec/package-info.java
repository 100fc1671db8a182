/**
 * Specification sheets of a vehicle, and the judgement of a value against limits [14253-1]. Dimensions are mm; limits are mm or rad
 * with the signs of their figure (package {@code figure}); a side difference is left less right. What an adjuster does is rad or mm a
 * unit of its own, positive the way its part counts as positive.
 */
@NullMarked
package app.galdrin.core.spec;

import org.jspecify.annotations.NullMarked;
