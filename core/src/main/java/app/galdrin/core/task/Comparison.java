package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.uncertainty.Estimate;

/** One figure by two procedures: whether they agree. */
public record Comparison(FigureId figure, Measure first, Measure second) {

    /**
     * Returns what the first came to less what the second came to, rad or mm; what both have in common falls out. It is compared as an angle:
     * equal millimetres over different lengths are not the same toe.
     */
    public static Estimate difference(Estimate first, Estimate second) {
        return first.minus(second);
    }

    /** Returns whether two procedures agree: their difference, rad or mm, is no larger than its own expanded uncertainty. */
    public static boolean agree(Estimate difference) {
        return Tolerance.ROUNDING.atMost(Math.abs(difference.value()), Judgement.K * difference.standardUncertainty());
    }
}
