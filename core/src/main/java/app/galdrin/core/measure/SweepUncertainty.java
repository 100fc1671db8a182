package app.galdrin.core.measure;

/**
 * Standard uncertainties of every camber, every steer, of pitch and roll each, and of an assumed KPI, rad.
 *
 * @param angle rad, 0 or more
 * @param steer rad, 0 or more
 * @param floor rad, 0 or more
 * @param kpi rad, 0 or more
 */
public record SweepUncertainty(double angle, double steer, double floor, double kpi) {

    /** SweepReadings taken as exact. */
    public static final SweepUncertainty NONE = new SweepUncertainty(0, 0, 0, 0);
}
