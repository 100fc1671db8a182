package app.galdrin.core.measure;

import app.galdrin.core.geometry.Wheel;
import java.util.function.ToDoubleFunction;

/**
 * One figure for each of the four wheels, rad or mm, all in one unit.
 *
 * @param frontLeft in any one unit
 * @param frontRight in any one unit
 * @param rearLeft in any one unit
 * @param rearRight in any one unit
 */
public record PerWheel(double frontLeft, double frontRight, double rearLeft, double rearRight) {

    /** Asks for the wheels in record order; rad or mm. */
    public static PerWheel of(ToDoubleFunction<Wheel> figure) {
        return new PerWheel(
                figure.applyAsDouble(Wheel.FRONT_LEFT),
                figure.applyAsDouble(Wheel.FRONT_RIGHT),
                figure.applyAsDouble(Wheel.REAR_LEFT),
                figure.applyAsDouble(Wheel.REAR_RIGHT));
    }

    /** Rad or mm, as all four are. */
    public double at(Wheel wheel) {
        return switch (wheel) {
            case FRONT_LEFT -> frontLeft;
            case FRONT_RIGHT -> frontRight;
            case REAR_LEFT -> rearLeft;
            case REAR_RIGHT -> rearRight;
        };
    }
}
