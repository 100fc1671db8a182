package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.reference.ReadFigure;
import app.galdrin.core.reference.VehicleHistory;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Asks whether so many sittings lie off a reference in the same direction that the reference has to be read again. */
public final class ReferenceQuestion {

    /** Fewer people may all have made the same mistake. */
    public static final int ENOUGH = 5;

    private ReferenceQuestion() {}

    /**
     * A figure of which many lie off the reference the same way.
     *
     * @param sittings that lie off this way
     * @param median of their differences, own less reference, rad or mm; the difference of all of them together where references are combined
     * @param expanded uncertainty of such a difference, rad or mm
     */
    public record DisagreeingFigure(FigureId figure, int sittings, double median, double expanded) {}

    private record Difference(double value, double expanded) {}

    /** The figures that are asked about; none where the reference stands. {@code sittings} are all of the state the reference is of. */
    public static List<DisagreeingFigure> of(Assignment assignment, Answers reference, List<Answers> sittings) {
        if (sittings.size() < ENOUGH) {
            return List.of();
        }
        var theirs = new OwnFigures(assignment, reference);
        List<OwnFigures> own =
                sittings.stream().map(s -> new OwnFigures(assignment, s)).toList();
        List<DisagreeingFigure> off = new ArrayList<>();
        assignment.practical().measures(0).stream()
                .forEach(measure -> measure.figures()
                        .forEach(figure -> theirs.mean(measure, 0, figure)
                                .ifPresent(
                                        there -> off.addAll(off(figure, differences(own, measure, figure, there))))));
        return off;
    }

    /** The figures in which an instructor's reading of a state lies off what all others say of it together, whoever they are. */
    public static List<DisagreeingFigure> of(Practical practical, VehicleHistory history, String state) {
        return practical.measures(0).stream()
                .flatMap(measure -> measure.figures().stream()
                        .flatMap(figure -> history.disagreement(state, ReadFigure.of(measure, figure)).stream()
                                .map(off ->
                                        new DisagreeingFigure(figure, off.others(), off.difference(), off.expanded()))))
                .toList();
    }

    private static List<Difference> differences(
            List<OwnFigures> own, Measure measure, FigureId figure, Estimate reference) {
        return own.stream()
                .flatMap(o -> o.mean(measure, 0, figure).stream())
                .map(e -> new Difference(
                        e.value() - reference.value(),
                        Judgement.K * Math.hypot(e.standardUncertainty(), reference.standardUncertainty())))
                .toList();
    }

    private static List<DisagreeingFigure> off(FigureId figure, List<Difference> all) {
        List<DisagreeingFigure> off = new ArrayList<>();
        for (int sign : List.of(1, -1)) {
            List<Difference> sameWay =
                    all.stream().filter(d -> sign * d.value() > 0).toList();
            median(sameWay.stream().map(Difference::value).toList())
                    .flatMap(middle -> median(
                                    sameWay.stream().map(Difference::expanded).toList())
                            .filter(expanded -> sameWay.size() >= ENOUGH && Math.abs(middle) > expanded)
                            .map(expanded -> new DisagreeingFigure(figure, sameWay.size(), middle, expanded)))
                    .ifPresent(off::add);
        }
        return off;
    }

    private static Optional<Double> median(List<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        int n = sorted.size();
        return n == 0 ? Optional.empty() : Optional.of((sorted.get((n - 1) / 2) + sorted.get(n / 2)) / 2);
    }
}
