package app.galdrin.core.task;

import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import tools.jackson.core.JsonGenerator;

/** A block of the sheet, in the order of the work. Its kind is in {@link StepKind}. */
public sealed interface Step permits Checklist, Measure, Work, Judge, Plan, Round, HandIn {

    /** Its name within the task: letters and digits. */
    String id();

    StepKind kind();

    /** What is written in it, on this vehicle, in the order in which it is filled. */
    List<Line> lines(SpecificationSheet sheet);

    /** How many times its repeated lines are written, 1 or more. */
    default int repeats() {
        return 1;
    }

    /** Steps that are done anew in every round. */
    default List<Measure> within() {
        return List.of();
    }

    /** The same step with other procedures in place of its own. */
    default Step by(UnaryOperator<Procedure> change) {
        return this;
    }

    /** What of it can be marked. */
    Set<Aspect> aspects();

    /** What can't be right about it among the others; {@code at} names the step in faults. */
    void check(Practical practical, String at, TaskFaults faults);

    /** What can't be right about it on a vehicle. */
    default void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {}

    /** Its own members of the document; id and kind are written already. */
    void write(JsonGenerator json);

    /** Reads a step of a kind; what is wrong goes to the faults and the step is made as well as it can be. */
    interface Reading {
        Step read(String id, JsonObject json, TaskFaults faults);
    }
}
