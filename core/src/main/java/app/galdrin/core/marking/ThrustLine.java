package app.galdrin.core.marking;

import java.util.Optional;

/**
 * The thrust line that a front wheel was judged against; the figure beside it is counted from there.
 *
 * @param thrust rad, positive to the right
 * @param steeringWheel how the steering wheel sits on the road with the fronts so, rad, positive to the right; empty where that is not
 *     known
 */
public record ThrustLine(double thrust, Optional<Double> steeringWheel) {}
