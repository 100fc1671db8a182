package app.galdrin.core.figure;

/**
 * Allowance for binary rounding when a figure is compared with a limit: a difference up to its size counts as none.
 *
 * @param size in the unit of what is compared, 0 or more
 */
public record Tolerance(double size) {

    /** The tolerance of figures computed from what people wrote, in mm, degrees or radians. */
    public static final Tolerance ROUNDING = new Tolerance(1e-9);

    public Tolerance {
        if (!(size >= 0)) {
            throw new IllegalArgumentException("tolerance (" + size + ") must be 0 or more");
        }
    }

    /**
     * Returns both in the unit of the size.
     *
     * @param a in the unit of the size
     * @param b in the unit of the size
     */
    public boolean equal(double a, double b) {
        return Math.abs(a - b) <= size;
    }

    /**
     * Returns whether {@code a} is at most {@code b}, both in the unit of the size.
     *
     * @param a in the unit of the size
     * @param b in the unit of the size
     */
    public boolean atMost(double a, double b) {
        return a <= b + size;
    }

    /**
     * Returns whether {@code a} is at least {@code b}, both in the unit of the size.
     *
     * @param a in the unit of the size
     * @param b in the unit of the size
     */
    public boolean atLeast(double a, double b) {
        return a >= b - size;
    }
}
