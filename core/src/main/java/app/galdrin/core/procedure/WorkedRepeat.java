package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Step;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Figures of one repeat.
 *
 * @param figures mm or rad
 * @param byHand as the taught working gives them, rad or mm by figure; the rest is worked as solved
 * @param notes beside the figures, in the record's unit, by path of the result
 * @param evaluations that could be worked, in order, with the steps of each
 */
public record WorkedRepeat(
        Map<FigureId, Estimate> figures,
        Map<FigureId, Double> byHand,
        Map<String, Double> notes,
        List<WorkedEvaluation> evaluations) {

    /**
     * An evaluation that was worked.
     *
     * @param steps from its readings to its figures, put together when someone looks
     */
    record WorkedEvaluation(Evaluation evaluation, Supplier<List<Step>> steps) {}

    /** Returns the steps from the readings to a figure, as the taught working has them; empty where they do not lead to it. */
    public Optional<List<Step>> stepsTo(FigureId figure, String taught) {
        for (int i = evaluations.size() - 1; i >= 0; i--) {
            WorkedEvaluation worked = evaluations.get(i);
            List<Step> steps = worked.evaluation()
                    .pathOf(figure, taught)
                    .map(path -> Step.leadingTo(path, worked.steps().get()))
                    .orElse(List.of());
            if (!steps.isEmpty()) {
                return Optional.of(steps);
            }
        }
        return Derivation.of(figure).flatMap(made -> stepsToParts(figure, made, taught));
    }

    private Optional<List<Step>> stepsToParts(FigureId figure, Combination made, String taught) {
        List<Step> steps = new ArrayList<>();
        Step.Builder last = Step.of(made.formula());
        for (FigureId part : made.parts()) {
            Optional<List<Step>> toPart = stepsTo(part, taught);
            if (toPart.isEmpty()) {
                return Optional.empty();
            }
            steps.addAll(toPart.get());
            last.with(part.key(), unit(figure), honest(part).orElseThrow());
        }
        steps.add(last.gives(figure.key(), unit(figure), honest(figure).orElseThrow()));
        return Optional.of(steps);
    }

    private static FieldUnit unit(FigureId figure) {
        return FieldUnit.of(figure.measurand().quantity());
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
