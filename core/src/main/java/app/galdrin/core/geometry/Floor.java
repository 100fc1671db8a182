package app.galdrin.core.geometry;

import org.hipparchus.CalculusFieldElement;

/**
 * The slope of the plane the wheels stand on, as a level laid along the vehicle and across it shows it.
 *
 * <p>Up by gravity is u = (sin p, sin r, u_z) with u_z = √(1 − sin²p − sin²r).
 *
 * @param pitch p, rad, −10° to 10°: the front of the bay is higher
 * @param roll r, rad, −10° to 10°: the left side of the bay is higher
 */
public record Floor(double pitch, double roll) {

    public static final Floor LEVEL = new Floor(0, 0);

    /**
     * The camber of a wheel whose inclinometer, sensing along the spin axis, reads γ_read against gravity:
     * γ = asin(sin γ_read / √(A² + u_z²)) + atan2(A, u_z) with A = sin p sin t + s sin r cos t.
     *
     * @param reading γ_read, top outward positive
     * @param toe t of the wheel as it stands, −steer on the left and steer on the right
     */
    public static <T extends CalculusFieldElement<T>> T camber(T reading, T toe, Side side, T pitch, T roll) {
        T sinPitch = pitch.sin();
        T sinRoll = roll.sin();
        T up = upright(sinPitch, sinRoll);
        T lean = lean(toe, side, sinPitch, sinRoll);
        return reading.sin()
                .divide(lean.square().add(up.square()).sqrt())
                .asin()
                .add(lean.atan2(up));
    }

    private static <T extends CalculusFieldElement<T>> T upright(T sinPitch, T sinRoll) {
        return sinPitch.square().add(sinRoll.square()).negate().add(1).sqrt();
    }

    private static <T extends CalculusFieldElement<T>> T lean(T toe, Side side, T sinPitch, T sinRoll) {
        return sinPitch.multiply(toe.sin()).add(sinRoll.multiply(toe.cos()).multiply(side.sign()));
    }

    /**
     * What an inclinometer on a wheel of known camber reads on this floor: γ_read = −asin(a·u), a the spin axis pointing
     * outboard.
     */
    public double inclinometerReading(double camber, double toe, Side side) {
        double lean = Math.sin(pitch) * Math.sin(toe) + side.sign() * Math.sin(roll) * Math.cos(toe);
        double up = Math.sqrt(1 - Math.sin(pitch) * Math.sin(pitch) - Math.sin(roll) * Math.sin(roll));
        return Math.asin(Math.sin(camber) * up - Math.cos(camber) * lean);
    }
}
