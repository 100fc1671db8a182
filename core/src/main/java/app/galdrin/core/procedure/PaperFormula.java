package app.galdrin.core.procedure;

import app.galdrin.core.record.Step;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/**
 * The formulas of workings that go on from an intermediate figure, by the keys of their steps, so that what follows from a person's own
 * figure can be told. The formulas are those of the kinds; a test holds them to what the kinds give.
 */
final class PaperFormula {

    private PaperFormula() {}

    /** From the numbers of a step in their order, mm and rad. */
    private static final Map<String, ToDoubleFunction<double[]>> BY_KEY = Map.of(
            "toe.line.toe", in -> Math.asin(in[0] / in[1]) - in[2],
            "toe.rearString.toe", in -> Math.asin(in[0] / in[1]) + in[2],
            "toe.across.total", in -> 2 * Math.asin(in[0] / (2 * in[1])),
            "toe.box.toe", in -> Math.asin((in[0] - in[1]) / in[2]) - in[3],
            "caster.sweep.shortcut", in -> (in[0] - in[1]) * in[2] - in[3],
            "toe.flags.left", in -> (in[0] + in[1]) / 2,
            "toe.flags.right", in -> (in[0] - in[1]) / 2,
            "floor.roll.left", in -> in[0] + in[1],
            "floor.roll.right", in -> in[0] - in[1]);

    /** A camber moves as its gauge does: what the floor and the steering do to the change is below a hundredth of it. */
    private static final String ALIKE = "camber.inclinometer.camber";

    /** Whether what follows from the numbers of a step can be told. */
    static boolean isKnown(Step step) {
        return BY_KEY.containsKey(step.formula()) || step.formula().equals(ALIKE);
    }

    /**
     * What a step gives where some of its numbers are others, mm or rad.
     *
     * @param off by how much, by the names of its numbers
     * @return empty where the formula is not known, or can't be worked from such numbers
     */
    static OptionalDouble work(Step step, Map<String, Double> off) {
        double[] in = step.in().stream()
                .mapToDouble(term -> term.value() + off.getOrDefault(term.name(), 0.0))
                .toArray();
        if (step.formula().equals(ALIKE)) {
            return OptionalDouble.of(
                    step.out().value() + in[0] - step.in().get(0).value());
        }
        return Optional.ofNullable(BY_KEY.get(step.formula()))
                .map(formula -> formula.applyAsDouble(in))
                .filter(Double::isFinite)
                .map(OptionalDouble::of)
                .orElseGet(OptionalDouble::empty);
    }
}
