package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.Formula;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;

/**
 * Combination of two figures into a third.
 *
 * @param formula of the step that works it on paper
 * @param parts two: the left wheel's and the right one's, or camber and KPI
 * @param first factor of the first part, without unit
 * @param second factor of the second, without unit
 */
public record Combination(Formula formula, List<FigureId> parts, double first, double second) {
    Estimate of(Estimate one, Estimate other) {
        return (first == 1 ? one : one.times(first)).plus(other.times(second));
    }

    /**
     * Returns what it comes to of its two parts, in their unit.
     *
     * @param one the first part, rad or mm
     * @param other the second part, rad or mm
     */
    public double of(double one, double other) {
        return first * one + second * other;
    }
}
