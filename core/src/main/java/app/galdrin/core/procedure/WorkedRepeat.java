package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.Step;
import app.galdrin.core.uncertainty.Estimate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * What one repeat comes to.
 *
 * @param figures mm or rad
 * @param byHand as the taught working gives them, rad or mm by figure; the rest is worked as solved
 * @param notes beside the figures, in the record's unit, by path of the result
 * @param steps from the readings to the figures, by the index of their evaluation
 */
public record WorkedRepeat(
        Map<FigureId, Estimate> figures,
        Map<FigureId, Double> byHand,
        Map<String, Double> notes,
        Map<Integer, Supplier<List<Step>>> steps) {

    List<Step> stepsOf(int evaluation) {
        return steps.getOrDefault(evaluation, List::of).get();
    }

    /** Returns the figures without their doubt, rad or mm. */
    public Map<FigureId, Double> solved() {
        Map<FigureId, Double> solved = new LinkedHashMap<>();
        figures.forEach((figure, estimate) -> solved.put(figure, estimate.value()));
        return solved;
    }

    /** Returns what an honest sheet has for every figure, rad or mm. */
    public Map<FigureId, Double> honest() {
        Map<FigureId, Double> honest = solved();
        honest.putAll(byHand);
        return honest;
    }

    /** Returns what an honest sheet has for a figure, rad or mm: by the taught formula, else as solved. */
    public Optional<Double> honest(FigureId figure) {
        Double hand = byHand.get(figure);
        return hand != null
                ? Optional.of(hand)
                : Optional.ofNullable(figures.get(figure)).map(Estimate::value);
    }
}
