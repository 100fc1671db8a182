package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.uncertainty.Estimate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The bands of measurements where nobody sets others: from each procedure's own doubt, so that nobody loses to the gauge. */
final class UsualBands {

    private UsualBands() {}

    /** Returns the bands of readings, rad or mm, without the doubt that apprentice and reference have in common. */
    static Map<FigureId, Band> ofReadings(Measure measure, Assignment assignment) {
        Map<FigureId, Band> bands = new LinkedHashMap<>();
        Map<FigureId, Estimate> asAsked = ExpectedUncertainty.asAsked(measure, assignment.standing());
        for (FigureId figure : measure.figures()) {
            Estimate expected = asAsked.get(figure);
            if (expected != null) {
                bands.put(
                        figure,
                        Band.between(expected.budget().standardUncertaintyOf(source -> !source.isCommonToAll())));
            }
        }
        return bands;
    }

    /** Returns the bands of how far repeats lie apart, rad or mm; all figures that the task compares share one chance of being outside. */
    static Map<FigureId, Band> ofRepeats(Measure measure, Assignment assignment) {
        int judged = assignment.practical().steps().stream()
                .filter(Measure.class::isInstance)
                .mapToInt(step -> repeatable(((Measure) step).figures()).size())
                .sum();
        Map<FigureId, Band> bands = new LinkedHashMap<>();
        ExpectedUncertainty.apart(measure, assignment.standing(), repeatable(measure.figures()), judged)
                .forEach((figure, limit) -> bands.put(figure, Band.from(limit)));
        return bands;
    }

    /** Sums where they are asked for, since they hold the repeats of both wheels; else each wheel by itself. */
    private static List<FigureId> repeatable(List<FigureId> figures) {
        List<FigureId> sums =
                figures.stream().filter(f -> f.measurand().form() == Form.SUM).toList();
        return sums.isEmpty()
                ? figures.stream().filter(f -> f.measurand().form() == Form.OWN).toList()
                : sums;
    }
}
