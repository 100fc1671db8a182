package app.galdrin.core.measure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.JsonObject;
import java.util.Set;

/** Formula that the trade works on paper for a figure. It stands beside its kind of record. */
public interface HandFormula {

    /** Key of the working as solved, which every figure has. */
    String SOLVED = "solved";

    /** Key of the working that a task teaches by this formula. */
    String taught();

    FigureId figure();

    /** Fields of the record that it leaves out: what they are is no business of anyone who works by it. */
    Set<String> leavesOut();

    /** The name of its result among the steps of its kind. */
    String path();

    /**
     * The figure in the core's unit, from the input, and from the result as a record has it (mm, deg).
     *
     * @return mm or rad
     */
    double work(Input input, JsonObject result);
}
