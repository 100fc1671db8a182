package app.galdrin.web.library;

import app.galdrin.core.figure.Measurand;
import app.galdrin.core.quantity.Quantity;

/** The database holds what is printed, degrees and millimetres: the way there and back leaves nothing in the last digits. */
final class PrintedUnits {

    private static final double DIGITS = 1e9;

    private PrintedUnits() {}

    static double degrees(double radians) {
        return rounded(Math.toDegrees(radians));
    }

    /** Returns a figure, rad or mm, as it is printed. */
    static double of(double core, Measurand measurand) {
        return measurand.quantity() == Quantity.ANGLE ? degrees(core) : rounded(core);
    }

    /** Returns a printed figure in the core's unit, rad or mm. */
    static double core(double printed, Measurand measurand) {
        return measurand.quantity() == Quantity.ANGLE ? Math.toRadians(printed) : printed;
    }

    private static double rounded(double value) {
        return Math.rint(value * DIGITS) / DIGITS;
    }
}
