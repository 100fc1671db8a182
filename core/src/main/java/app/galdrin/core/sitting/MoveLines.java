package app.galdrin.core.sitting;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.task.MoveLine;
import app.galdrin.core.task.Plan;

/** The lines of a sheet for moves: the part, the direction and the amount. */
public final class MoveLines {

    private MoveLines() {}

    /** Returns the line that says which way a part is moved, in a plan (round 0) or a round of adjusting. */
    public static LineKey way(String step, Adjuster adjuster, int round) {
        return new LineKey(step, adjuster.id() + MoveLine.WAY, 0, round);
    }

    /** Returns the line that says how far. */
    public static LineKey amount(String step, Adjuster adjuster, int round) {
        return new LineKey(step, adjuster.id() + MoveLine.AMOUNT, 0, round);
    }

    /** Returns the line that says what to do about figures that no part moves. */
    public static LineKey instead(Plan plan, FigureId.Adjustment adjustment) {
        return LineKey.of(plan.id(), Plan.PART + adjustment.key());
    }
}
