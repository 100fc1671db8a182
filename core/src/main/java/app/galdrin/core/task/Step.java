package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import tools.jackson.core.JsonGenerator;

/** A block of the sheet, in the order of the work. Its kind is one of {@link StepKinds}. */
public interface Step {

    /** Its name within the task: letters and digits. */
    String id();

    /** Returns the key of its {@link StepKind}. */
    String kind();

    /** Returns what is written in it, on this vehicle, in the order in which it is filled. */
    List<Line> lines(SpecificationSheet sheet);

    /** Returns what has to be written about the floor of a bay that nobody has surveyed, ahead of its own lines. */
    default List<Line> floorLines(BayFloor floor) {
        return List.of();
    }

    /** Returns how many times its repeated lines are written, 1 or more. */
    default int repeats() {
        return 1;
    }

    /** Steps that are repeated in every round. */
    default List<Measure> within() {
        return List.of();
    }

    /** The same step with other procedures in place of its own. */
    default Step by(UnaryOperator<Procedure> change) {
        return this;
    }

    /** Returns the same step with what it asks in the order of figures, in which steps are compared. */
    default Step ordered() {
        return this;
    }

    /** Returns what of it can be marked. */
    Set<Aspect> aspects();

    /** Returns what one of its aspects is worth where nobody says otherwise; the scheme of the assignment's task is not looked at. */
    Criterion usualCriterion(Aspect aspect, Assignment assignment);

    /** Returns the figures for which a criterion needs a band: it compares each with a reference. */
    default List<FigureId> figuresWithBands(Aspect aspect) {
        return List.of();
    }

    /** Reports what cannot be right about it among the other steps; {@code at} names the step in faults. */
    void check(Practical practical, String at, TaskFaults faults);

    /** Reports what cannot be right about it on a vehicle. */
    default void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {}

    /** Its own members of the document; id and kind are written already. */
    void write(JsonGenerator json);
}
