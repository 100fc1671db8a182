package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.uncertainty.DoubtSource;

/**
 * Run-out of rims and tyres: a reading off a wheel as it happens to have rolled contains it. A point of the rim lies off its
 * plane by half of {@link #MOST}, times the cosine of how far it has rolled; the two ends of a diameter lie off opposite ways.
 */
final class RunOut {

    /** The run-out from least to greatest, mm: the size that makers allow a rim or a tyre in service. Our own working value. */
    private static final double MOST = 0.5;

    /** The standard uncertainty of run-out between the two ends of a diameter, mm: a cosine of an angle that is as likely as any other [GUM, F.2.2.1]. */
    private static final double BETWEEN_ENDS = MOST / Math.sqrt(2);

    private RunOut() {}

    /** A reading, mm, that has the run-out of a wheel in it as it lies between the two ends of its rim or tyre. */
    static Source.ReadingWithSetup of(Wheel wheel, Source reading) {
        return carried(wheel, reading, 1);
    }

    /**
     * The same where something leans on the wheel and carries it farther.
     *
     * @param times how much farther apart than what it leans on it is read, without unit
     */
    static Source.ReadingWithSetup carried(Wheel wheel, Source reading, double times) {
        return new Source.ReadingWithSetup(reading, new SetUp(name(wheel), times * BETWEEN_ENDS, onVehicle(wheel)));
    }

    /**
     * The same of an angle.
     *
     * @param over what the gauge leans on, mm
     */
    static Source.ReadingWithSetup turning(Wheel wheel, Source reading, double over) {
        return new Source.ReadingWithSetup(
                reading, new SetUp(name(wheel), Math.atan(BETWEEN_ENDS / over), onVehicle(wheel)));
    }

    private static DoubtSource onVehicle(Wheel wheel) {
        return DoubtSource.shared(DoubtSource.Origin.VEHICLE, "vehicle." + name(wheel));
    }

    private static String name(Wheel wheel) {
        return "runOut." + wheel.key();
    }
}
