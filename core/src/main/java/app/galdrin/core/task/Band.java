package app.galdrin.core.task;

/**
 * How a difference earns marks: all of them up to {@code full}, none from {@code none} on, a straight line between.
 *
 * @param full in the difference's unit, 0 or more
 * @param none greater than {@code full}
 * @param usual whether it follows from what the procedure tells, and was not typed by anyone
 */
public record Band(double full, double none, boolean usual) {

    /** Coverage factor of the usual band: what two estimates differ by in nineteen of twenty cases. */
    private static final double K = 2;

    /** Beyond this many times the full band there are no marks. */
    public static final double NONE_TO_FULL = 3;

    /** The narrowest full band anyone reads to: a hundredth of a millimetre, a thousandth of a degree; in mm and in degrees. */
    public static final double NARROWEST_LENGTH = 0.01;

    public static final double NARROWEST_ANGLE = 0.001;

    public Band {
        if (!(full >= 0 && none > full)) {
            throw new IllegalArgumentException(
                    "band: full (" + full + ") must be 0 or more and below none (" + none + ")");
        }
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
     */
    public Band against(double reference) {
        double promised = full / (K * Math.sqrt(2));
        if (!usual || reference <= promised) {
            return this;
        }
        double wider = K * Math.hypot(promised, reference);
        return new Band(wider, NONE_TO_FULL * wider, true);
    }

    /** With the usual room beyond: {@code full} in the unit of the difference, above 0. */
    public static Band from(double full) {
        return new Band(full, NONE_TO_FULL * full);
    }

    /** Share of the marks, 0 to 1, of a difference in the band's unit. */
    public double credit(double difference) {
        double d = Math.abs(difference);
        if (d <= full) {
            return 1;
        }
        return d >= none ? 0 : (none - d) / (none - full);
    }
}
