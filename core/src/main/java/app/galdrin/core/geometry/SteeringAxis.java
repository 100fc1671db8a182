package app.galdrin.core.geometry;

/**
 * The axis a front wheel is steered about. Steering turns the wheel's spin axis a about it, so that a·k stays the same:
 * sin t cos γ tan τ + cos t cos γ tan σ + sin γ = K at every steer angle, with t = −s ψ.
 *
 * <p>Source: [ISO8855] for the angles, [PLANE] for the invariant.
 *
 * @param caster τ, rad: the top leans rearward
 * @param kpi σ, rad: the top leans inward
 */
public record SteeringAxis(double caster, double kpi) {

    /**
     * The toe of a wheel steered by ψ (rad, to the left positive): t = −s ψ.
     *
     * @param steer rad, to the left positive
     */
    public static double toe(double steer, Side side) {
        return -side.sign() * steer;
    }

    /**
     * The camber of the wheel when it is steered: γ = asin(K / √(1 + M²)) − atan M with M = sin t tan τ + cos t tan σ.
     *
     * @param camberAhead camber with the wheel straight ahead, rad
     * @param steer ψ, rad
     */
    public double camber(double camberAhead, double steer, Side side) {
        double constant = Math.cos(camberAhead) * Math.tan(kpi) + Math.sin(camberAhead);
        double toe = toe(steer, side);
        double m = Math.sin(toe) * Math.tan(caster) + Math.cos(toe) * Math.tan(kpi);
        return Math.asin(constant / Math.hypot(1, m)) - Math.atan(m);
    }
}
