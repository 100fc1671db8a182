package app.galdrin.core.fault;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import java.util.List;
import java.util.Optional;

/**
 * View that a measuring step of a task has of what the moves of a fault do to one of its figures.
 *
 * @param change of the figure, rad or mm with its sign
 * @param expanded U = k·u of the mean of the step's repeats, rad or mm, positive
 */
public record FaultSight(String step, FigureId figure, double change, double expanded) {

    /** Returns whether the change is greater than what the step can miss. */
    public boolean isSeen() {
        return Math.abs(change) > expanded;
    }

    /** Returns what every measuring step of a task sees of the moves as found: each of its figures that they change, in the order of the steps. */
    public static List<FaultSight> of(Assignment assignment, PartMoves moves) {
        return assignment.practical().measures(0).stream()
                .flatMap(measure -> measure.figuresAndDifferences().stream()
                        .filter(figure -> moves.change(figure) != 0)
                        .flatMap(figure -> of(assignment, measure, figure, moves).stream()))
                .toList();
    }

    private static Optional<FaultSight> of(Assignment assignment, Measure measure, FigureId figure, PartMoves moves) {
        return assignment
                .asAsked(measure, figure)
                .map(expected -> new FaultSight(
                        measure.id(), figure, moves.change(figure), Judgement.K * expected.standardUncertainty()));
    }
}
