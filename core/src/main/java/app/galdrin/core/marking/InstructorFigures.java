package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.reference.ReferenceValue;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Scatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Figures of an instructor's own readings.
 *
 * @param again the same vehicle read once more with everything set up again; empty where it was not
 */
record InstructorFigures(OwnFigures first, Optional<OwnFigures> again) implements ReferenceFigures {

    @Override
    public boolean isRead(Measure measure, int round) {
        return !first.repeats(measure, round).isEmpty();
    }

    /** Returns the mean of all readings, both times together. */
    @Override
    public Optional<Estimate> mean(Measure measure, int round, FigureId figure) {
        List<Estimate> second = second(measure, round, figure);
        Optional<Estimate> mean = first.mean(measure, round, figure);
        if (mean.isEmpty() || second.isEmpty()) {
            return mean;
        }
        List<Estimate> readings = new ArrayList<>(first.each(measure, round, figure));
        second.forEach(e -> readings.add(e.readAgain()));
        return Optional.of(Scatter.mean(readings));
    }

    @Override
    public Optional<Estimate> firstMean(Measure measure, int round, FigureId figure) {
        return first.mean(measure, round, figure);
    }

    @Override
    public boolean isReadAgain(Measure measure, int round, FigureId figure) {
        return !second(measure, round, figure).isEmpty();
    }

    private List<Estimate> second(Measure measure, int round, FigureId figure) {
        return again.map(figures -> figures.each(measure, round, figure)).orElse(List.of());
    }

    @Override
    public Optional<ReferenceValue> value(Measure measure, FigureId figure) {
        return Optional.empty();
    }
}
