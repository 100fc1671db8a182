package app.galdrin.core.task;

import app.galdrin.core.figure.Tolerance;
import java.util.List;

/**
 * Band in which a difference earns marks: all of them up to {@code full}, none beyond {@code none}, between the two a straight line or steps.
 *
 * @param full in the difference's unit, 0 or more
 * @param none in the difference's unit, greater than {@code full}
 * @param usual whether it follows from what the procedure tells, and was not typed by anyone
 * @param steps the nearest first, the last of them to {@code none}; empty for a straight line
 */
public record Band(double full, double none, boolean usual, List<Step> steps) {

    /** More steps than these nobody sets. */
    public static final int MOST_STEPS = 5;

    /**
     * Credit of a difference that lies beyond the step before.
     *
     * @param within up to here and with it, in the difference's unit
     * @param percent of the marks, 1 to 99
     */
    public record Step(double within, int percent) {}

    /** Coverage factor of the usual band: what two estimates differ by in nineteen of twenty cases. */
    private static final double K = 2;

    /** Beyond this many times the full band there are no marks. */
    public static final double NONE_TO_FULL = 3;

    /** The narrowest full band anyone reads to: a hundredth of a millimetre, a thousandth of a degree; in mm and in degrees. */
    public static final double NARROWEST_LENGTH = 0.01;

    public static final double NARROWEST_ANGLE = 0.001;

    /** The widest full band anyone sets, in mm and in degrees; none may be {@link #NONE_TO_FULL} times that. */
    public static final double WIDEST_LENGTH = 100;

    public static final double WIDEST_ANGLE = 5;

    public Band {
        if (!(full >= 0 && none > full)) {
            throw new IllegalArgumentException(
                    "band: full (" + full + ") must be 0 or more and below none (" + none + ")");
        }
        steps = List.copyOf(steps);
        if (!steps.isEmpty() && (usual || steps.get(steps.size() - 1).within() != none || !fall(full, steps))) {
            throw new IllegalArgumentException(
                    "band: steps (" + steps + ") must be typed, go on from full (" + full + "), fall and end at none");
        }
    }

    private static boolean fall(double full, List<Step> steps) {
        Step before = new Step(full, 100);
        for (Step step : steps) {
            if (!(step.within() > before.within() && step.percent() < before.percent() && step.percent() > 0)) {
                return false;
            }
            before = step;
        }
        return true;
    }

    /** A straight line. */
    public Band(double full, double none, boolean usual) {
        this(full, none, usual, List.of());
    }

    /**
     * Full marks up to {@code full}, then steps: each farther than the one before and worth less; there is at least one.
     *
     * @param full in the unit of the difference, 0 or more
     */
    public static Band stepped(double full, List<Step> steps) {
        return new Band(full, steps.get(steps.size() - 1).within(), false, steps);
    }

    /** Returns whether it earns what another earns, but for what is lost where a band is written down. */
    public boolean isAlike(Band other) {
        return Tolerance.ROUNDING.equal(full, other.full)
                && Tolerance.ROUNDING.equal(none, other.none)
                && steps.equals(other.steps);
    }

    /**
     * Returns whether these can be the steps of a band; {@code full} in their unit, mm or rad.
     *
     * @param full in the unit of the steps, mm or rad
     */
    public static boolean canStep(double full, List<Step> steps) {
        return !steps.isEmpty() && steps.size() <= MOST_STEPS && fall(full, steps);
    }

    /** One that somebody typed, {@code full} and {@code none} in the unit of the difference. */
    public Band(double full, double none) {
        this(full, none, false);
    }

    /** The usual one of two estimates that are each known as well as this, a standard uncertainty in the unit of the difference. */
    static Band between(double uncertainty) {
        double full = K * Math.hypot(uncertainty, uncertainty);
        return new Band(full, NONE_TO_FULL * full, true);
    }

    /**
     * The band against a reference of this standard uncertainty, in the unit of the difference: a usual one is wider where the reference is
     * poorer than it promised, and never narrower; one that was typed stands.
     *
     * @param reference standard uncertainty of the reference, in the difference's unit, 0 or more
     */
    public Band against(double reference) {
        double promised = full / (K * Math.sqrt(2));
        if (!usual || reference <= promised) {
            return this;
        }
        double wider = K * Math.hypot(promised, reference);
        return new Band(wider, NONE_TO_FULL * wider, true);
    }

    /**
     * Returns a band with the usual room beyond: {@code full} in the unit of the difference, above 0.
     *
     * @param full in the difference's unit, 0 or more
     */
    public static Band from(double full) {
        return new Band(full, NONE_TO_FULL * full);
    }

    /**
     * Share of the marks, 0 to 1, of a difference in the band's unit.
     *
     * @param difference in the band's unit, of either sign
     */
    public double credit(double difference) {
        double d = Math.abs(difference);
        if (Tolerance.ROUNDING.atMost(d, full)) {
            return 1;
        }
        for (Step step : steps) {
            if (Tolerance.ROUNDING.atLeast(step.within(), d)) {
                return step.percent() / 100.0;
            }
        }
        return d >= none ? 0 : (none - d) / (none - full);
    }
}
