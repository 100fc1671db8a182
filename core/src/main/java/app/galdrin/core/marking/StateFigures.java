package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.reference.ReadFigure;
import app.galdrin.core.reference.ReferenceValue;
import app.galdrin.core.reference.VehicleHistory;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Optional;
import java.util.Set;

/**
 * Figures of a state from everybody who read it but for those who are marked.
 *
 * @param state id of the state
 * @param without ids of those who are marked
 */
record StateFigures(VehicleHistory history, String state, Set<String> without) implements ReferenceFigures {

    @Override
    public boolean isRead(Measure measure, int round) {
        return measure.procedure().sees().stream()
                .anyMatch(figure -> value(measure, figure).isPresent());
    }

    @Override
    public Optional<Estimate> mean(Measure measure, int round, FigureId figure) {
        return value(measure, figure).map(ReferenceValue::value);
    }

    @Override
    public Optional<Estimate> firstMean(Measure measure, int round, FigureId figure) {
        return mean(measure, round, figure);
    }

    @Override
    public boolean isReadAgain(Measure measure, int round, FigureId figure) {
        return value(measure, figure).filter(value -> value.parts().size() > 1).isPresent();
    }

    @Override
    public Optional<ReferenceValue> value(Measure measure, FigureId figure) {
        return history.value(state, ReadFigure.of(measure, figure), without);
    }
}
