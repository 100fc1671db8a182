package app.galdrin.core.uncertainty;

/**
 * A number that carries its exact first derivatives by the readings it comes from through a calculation, so that a formula is
 * written once and gives the value and its slopes: for f(x), f′(x) · ∂x. Angles are radians.
 *
 * <p>Where no doubt is asked no slopes are carried, and it is little more than the number.
 */
public final class Dual {

    private static final double[] NO_SLOPES = {};

    private final double value;
    private final double[] slopes;

    private Dual(double value, double[] slopes) {
        this.value = value;
        this.slopes = slopes;
    }

    /** A figure that depends on no reading. */
    static Dual constant(double value) {
        return new Dual(value, NO_SLOPES);
    }

    /** Reading {@code index} of so many. */
    static Dual reading(double value, int index, int readings) {
        double[] slopes = new double[readings];
        slopes[index] = 1;
        return new Dual(value, slopes);
    }

    /** The number; an angle in rad. */
    public double value() {
        return value;
    }

    /** The derivative by a reading; 0 where it does not depend on it. */
    double slope(int index) {
        return slopes.length == 0 ? 0 : slopes[index];
    }

    /** Combines it with another number of the same unit. */
    public Dual add(Dual other) {
        return new Dual(value + other.value, sum(slopes, other.slopes, 1));
    }

    /** Combines it with another number of the same unit. */
    public Dual subtract(Dual other) {
        return new Dual(value - other.value, sum(slopes, other.slopes, -1));
    }

    /**
     * Multiplies by a factor without uncertainty.
     *
     * @param factor without unit, of any sign
     */
    public Dual multiply(double factor) {
        return new Dual(value * factor, scaled(factor));
    }

    /**
     * Divides by a divisor without uncertainty, not 0, in whatever unit.
     *
     * @param divisor in any one unit, not 0
     */
    public Dual divide(double divisor) {
        return new Dual(value / divisor, scaled(1 / divisor));
    }

    /** Returns the angle of a sine without unit, in size below 1; rad, −π/2 to π/2. */
    public Dual asin() {
        return new Dual(Math.asin(value), scaled(1 / Math.sqrt((1 - value) * (1 + value))));
    }

    /** The product of both, in the product of their units. */
    public Dual multiply(Dual other) {
        return new Dual(value * other.value, sum(scaled(other.value), other.scaled(value), 1));
    }

    /** Works on an angle in rad; the result has no unit. */
    public Dual sin() {
        return new Dual(Math.sin(value), scaled(Math.cos(value)));
    }

    /** Works on an angle in rad; the result has no unit. */
    public Dual cos() {
        return new Dual(Math.cos(value), scaled(-Math.sin(value)));
    }

    /** Returns the angle of a tangent without unit; rad, −π/2 to π/2. */
    public Dual atan() {
        return new Dual(Math.atan(value), scaled(1 / (1 + value * value)));
    }

    private double[] scaled(double factor) {
        if (slopes.length == 0) {
            return NO_SLOPES;
        }
        double[] scaled = new double[slopes.length];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = slopes[i] * factor;
        }
        return scaled;
    }

    private static double[] sum(double[] a, double[] b, int sign) {
        if (a.length == 0 && b.length == 0) {
            return NO_SLOPES;
        }
        double[] sum = new double[Math.max(a.length, b.length)];
        for (int i = 0; i < sum.length; i++) {
            sum[i] = (a.length == 0 ? 0 : a[i]) + (b.length == 0 ? 0 : sign * b[i]);
        }
        return sum;
    }
}
