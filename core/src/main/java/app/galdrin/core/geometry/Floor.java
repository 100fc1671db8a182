package app.galdrin.core.geometry;

/**
 * The slope of the plane the wheels stand on, as a level laid along the vehicle and across it shows it.
 *
 * <p>Up by gravity is u = (sin p, sin r, u_z) with u_z = √(1 − sin²p − sin²r).
 *
 * <p>Source: [PLANE], in {@code docs/conventions.md}.
 *
 * @param pitch p, rad, −10° to 10°: the front of the bay is higher
 * @param roll r, rad, −10° to 10°: the left side of the bay is higher
 */
public record Floor(double pitch, double roll) {

    public static final Floor LEVEL = new Floor(0, 0);

    /**
     * A camber freed from the floor.
     *
     * @param camber γ, rad
     * @param byReading ∂γ/∂γ_read, without unit
     * @param byToe ∂γ/∂t, without unit
     * @param byPitch ∂γ/∂p, without unit
     * @param byRoll ∂γ/∂r, without unit
     */
    public record CorrectedCamber(double camber, double byReading, double byToe, double byPitch, double byRoll) {}

    /**
     * The camber of a wheel whose inclinometer, sensing along the spin axis, reads γ_read against gravity:
     * γ = asin(sin γ_read / √(A² + u_z²)) + atan2(A, u_z) with A = sin p sin t + s sin r cos t. With q = √(A² + u_z² − sin² γ_read),
     *
     * <pre>
     * ∂γ/∂γ_read = cos γ_read / q
     * ∂γ/∂A      = (u_z − A sin γ_read / q) / (A² + u_z²)
     * ∂γ/∂u_z    = −(A + u_z sin γ_read / q) / (A² + u_z²)
     * </pre>
     *
     * @param reading γ_read, top outward positive, −20° to 20°
     * @param toe t of the wheel as it stands, rad: −steer on the left and steer on the right
     */
    public CorrectedCamber camber(double reading, double toe, Side side) {
        int s = side.sign();
        double sinPitch = Math.sin(pitch);
        double sinRoll = Math.sin(roll);
        double sinToe = Math.sin(toe);
        double cosToe = Math.cos(toe);
        double sine = Math.sin(reading);
        double up = Math.sqrt(1 - sinPitch * sinPitch - sinRoll * sinRoll);
        double lean = sinPitch * sinToe + s * sinRoll * cosToe;
        double size = lean * lean + up * up;
        double camber = Math.asin(sine / Math.sqrt(size)) + Math.atan2(lean, up);
        double q = Math.sqrt(size - sine * sine);
        double byLean = (up - lean * sine / q) / size;
        double byUp = -(lean + up * sine / q) / size;
        double cosPitch = Math.cos(pitch);
        double cosRoll = Math.cos(roll);
        return new CorrectedCamber(
                camber,
                Math.cos(reading) / q,
                byLean * (sinPitch * cosToe - s * sinRoll * sinToe),
                byLean * cosPitch * sinToe - byUp * sinPitch * cosPitch / up,
                byLean * s * cosRoll * cosToe - byUp * sinRoll * cosRoll / up);
    }

    /**
     * Returns what an inclinometer on a wheel of known camber and toe (rad) reads on this floor, rad, top outward positive: γ_read =
     * −asin(a·u), a the spin axis pointing outboard.
     *
     * @param camber γ, rad, top outward positive
     * @param toe t of the wheel as it stands, rad
     */
    public double inclinometerReading(double camber, double toe, Side side) {
        double lean = Math.sin(pitch) * Math.sin(toe) + side.sign() * Math.sin(roll) * Math.cos(toe);
        double up = Math.sqrt(1 - Math.sin(pitch) * Math.sin(pitch) - Math.sin(roll) * Math.sin(roll));
        return Math.asin(Math.sin(camber) * up - Math.cos(camber) * lean);
    }
}
