package app.galdrin.core.measure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.JsonObject;
import java.util.Set;

/** What the trade works on paper for a figure. It lives beside its kind. */
public interface HandFormula {

    /** Key of the working as solved, which every figure has. */
    String SOLVED = "solved";

    /** Key of the working that a task teaches by this formula. */
    String taught();

    FigureId figure();

    /** Fields of the record that it leaves out: what they are is no business of whoever works by it. */
    Set<String> leavesOut();

    /** The name of its result among the steps of its kind. */
    String path();

    /**
     * The figure in the core's unit, from the record's input and result (mm, deg), both of which have been worked.
     *
     * @return mm or rad
     */
    double work(JsonObject input, JsonObject result);
}
