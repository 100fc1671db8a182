package app.galdrin.core.uncertainty;

/**
 * Carries the independent readings of one calculation and their standard uncertainties through it, so that the same
 * formula gives the value and, by its exact first derivatives, the combined standard uncertainty
 * u² = Σ (∂f/∂xᵢ · uᵢ)² [GUM, 5.1.2].
 */
public final class Propagation {

    private final double[] standardUncertainties;
    private final String[] names;
    private int used;

    private Propagation(int readings) {
        this.standardUncertainties = new double[readings];
        this.names = new String[readings];
    }

    /**
     * Creates a propagation for a calculation with at most so many readings. Where none of the reading classes has any doubt, no derivatives are
     * carried along.
     *
     * @param classes the standard uncertainties of the reading classes, each in its unit, 0 or more
     */
    public static Propagation of(int readings, double... classes) {
        return new Propagation(anyDoubt(classes) ? readings : 0);
    }

    private static boolean anyDoubt(double[] classes) {
        for (double u : classes) {
            if (u > 0) {
                return true;
            }
        }
        return false;
    }

    /**
     * One independent reading.
     *
     * @param name its place on the sketch, which is its name in the record
     * @param value in its own unit, rad or mm
     * @param standardUncertainty in the reading's unit, 0 or more
     */
    public Dual reading(String name, double value, double standardUncertainty) {
        if (standardUncertainties.length == 0) {
            return exact(value);
        }
        names[used] = name;
        standardUncertainties[used] = standardUncertainty;
        return Dual.reading(value, used++, standardUncertainties.length);
    }

    /**
     * A figure without uncertainty, in its unit.
     *
     * @param value in its own unit, rad or mm
     */
    public Dual exact(double value) {
        return Dual.constant(value);
    }

    /** The figure with its combined standard uncertainty, in the same unit, and the budget of it. */
    public Estimate estimate(Dual figure) {
        if (used == 0) {
            return new Estimate(figure.value(), 0);
        }
        double[] parts = new double[used];
        for (int i = 0; i < used; i++) {
            parts[i] = figure.slope(i) * standardUncertainties[i];
        }
        return new Estimate(figure.value(), Budget.ofInputs(parts, i -> names[i]));
    }
}
