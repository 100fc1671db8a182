package app.galdrin.core.spec;

import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.uncertainty.Estimate;
import java.util.OptionalDouble;

/**
 * A value judged against limits with its expanded uncertainty U = k·u [14253-1]. Values, limits and uncertainties share
 * any one unit.
 *
 * @param zone where the value lies
 * @param excess signed distance beyond the nearer limit, rad or mm; negative: room left
 * @param accepted whether it meets the limits under the decision rule
 * @param deviation value less preferred value (or the middle of both limits), rad or mm, where there is one
 */
public record Judgement(Zone zone, double excess, boolean accepted, OptionalDouble deviation) {

    /** Coverage factor of the expanded uncertainty where nothing else is said. */
    public static final double K = 2;

    /**
     * Judges a value by limits in its unit; {@code k}, a factor above 0, makes a standard uncertainty an expanded one.
     *
     * @param k coverage factor, without unit, above 0
     */
    public static Judgement of(Estimate value, Limits limits, double k, DecisionRule rule) {
        double below = limits.min().orElse(Double.NEGATIVE_INFINITY) - value.value();
        double above = value.value() - limits.max().orElse(Double.POSITIVE_INFINITY);
        double excess = Math.max(below, above);
        Zone zone = zone(excess, k * value.standardUncertainty());
        boolean accepted = rule == DecisionRule.SIMPLE ? Tolerance.ROUNDING.atMost(excess, 0) : zone == Zone.INSIDE;
        OptionalDouble target = limits.target();
        OptionalDouble deviation =
                target.isPresent() ? OptionalDouble.of(value.value() - target.getAsDouble()) : target;
        return new Judgement(zone, excess, accepted, deviation);
    }

    private static Zone zone(double excess, double expanded) {
        if (Tolerance.ROUNDING.atLeast(-excess, expanded)) {
            return Zone.INSIDE;
        }
        if (Tolerance.ROUNDING.atLeast(excess, expanded)) {
            return Zone.OUTSIDE;
        }
        return Tolerance.ROUNDING.atMost(excess, 0) ? Zone.DOUBT_INSIDE : Zone.DOUBT_OUTSIDE;
    }
}
