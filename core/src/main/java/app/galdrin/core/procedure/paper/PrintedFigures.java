package app.galdrin.core.procedure.paper;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Combination;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.record.Step;
import app.galdrin.core.uncertainty.Estimate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;

/**
 * Figures as they are printed beside one another. A figure that follows from two others is made of what is printed of them, so that anyone who
 * adds up a page by hand finds what the page says.
 */
public final class PrintedFigures {

    /** Rounds a figure to the place at which a page prints it. */
    @FunctionalInterface
    public interface Rounding {
        /**
         * Rounds one value.
         *
         * @param value mm or rad
         * @return the value that the page prints, in the same unit
         */
        double round(double value, FigureId figure);
    }

    private PrintedFigures() {}

    /**
     * Rounds figures that stand on one page.
     *
     * @param values mm or rad
     * @return the same figures in the same order, mm or rad; one whose two parts are among them is made of the rounded parts
     */
    public static Map<FigureId, Double> of(Map<FigureId, Double> values, Rounding rounding) {
        Map<FigureId, Double> printed = new LinkedHashMap<>();
        values.forEach((figure, value) -> printed.put(
                figure,
                Derivation.of(figure)
                        .filter(made -> values.keySet().containsAll(made.parts()))
                        .map(made -> made.of(part(0, made, values, rounding), part(1, made, values, rounding)))
                        .orElseGet(() -> rounding.round(value, figure))));
        return printed;
    }

    /** The same for figures, rad or mm, that say how well they are known: each keeps its doubt. */
    public static Map<FigureId, Estimate> ofEstimates(Map<FigureId, Estimate> figures, Rounding rounding) {
        Map<FigureId, Double> values = new LinkedHashMap<>();
        figures.forEach((figure, estimate) -> values.put(figure, estimate.value()));
        Map<FigureId, Estimate> printed = new LinkedHashMap<>();
        of(values, rounding)
                .forEach((figure, value) -> printed.put(
                        figure, Objects.requireNonNull(figures.get(figure)).printedAs(value)));
        return printed;
    }

    private static double part(int which, Combination made, Map<FigureId, Double> values, Rounding rounding) {
        FigureId part = made.parts().get(which);
        return rounding.round(Objects.requireNonNull(values.get(part)), part);
    }

    /**
     * Works the last step to a figure that follows from two others with what is printed of the two.
     *
     * @return mm or rad; empty where the step is of another kind
     */
    public static OptionalDouble result(Step step, Rounding rounding) {
        return FigureId.parse(step.out().name())
                .flatMap(Derivation::of)
                .filter(made -> step.formula().equals(made.formula()))
                .map(made -> OptionalDouble.of(made.of(
                        printed(step.in().get(0), rounding), printed(step.in().get(1), rounding))))
                .orElseGet(OptionalDouble::empty);
    }

    private static double printed(Step.Term term, Rounding rounding) {
        return rounding.round(term.value(), FigureId.parse(term.name()).orElseThrow());
    }
}
