package app.galdrin.core.uncertainty;

import org.hipparchus.analysis.differentiation.Gradient;

/**
 * Carries the independent readings of one calculation and their standard uncertainties through it, so that the same
 * formula gives the value and, by its exact first derivatives, the combined standard uncertainty
 * u² = Σ (∂f/∂xᵢ · uᵢ)² [GUM, 5.1.2].
 */
public final class Propagation {

    private final double[] standardUncertainties;
    private int used;

    private Propagation(int readings) {
        this.standardUncertainties = new double[readings];
    }

    /**
     * For a calculation whose uncertainties are wanted.
     *
     * @param readings how many independent readings it has at the most
     */
    public static Propagation of(int readings) {
        return new Propagation(readings);
    }

    /** For a calculation whose uncertainties are not wanted; nothing is carried along. */
    public static Propagation none() {
        return new Propagation(0);
    }

    /**
     * One independent reading.
     *
     * @param standardUncertainty in the reading's unit, 0 or more
     */
    public Gradient reading(double value, double standardUncertainty) {
        if (standardUncertainties.length == 0) {
            return exact(value);
        }
        standardUncertainties[used] = standardUncertainty;
        return Gradient.variable(standardUncertainties.length, used++, value);
    }

    /** A figure without uncertainty. */
    public Gradient exact(double value) {
        return Gradient.constant(standardUncertainties.length, value);
    }

    /** The figure with its combined standard uncertainty. */
    public Estimate estimate(Gradient figure) {
        double sum = 0;
        for (int i = 0; i < used; i++) {
            double part = figure.getPartialDerivative(i) * standardUncertainties[i];
            sum += part * part;
        }
        return new Estimate(figure.getValue(), Math.sqrt(sum));
    }
}
