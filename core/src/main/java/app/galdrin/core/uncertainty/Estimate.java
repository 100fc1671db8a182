package app.galdrin.core.uncertainty;

/**
 * A figure and how well it is known.
 *
 * @param value in the figure's unit
 * @param standardUncertainty in the same unit, 0 or more; 0 where nothing was said of it
 * @param budget which reading contributes how much of it
 */
public record Estimate(double value, double standardUncertainty, Budget budget) {

    /** A figure whose doubt is known as a whole only. */
    public Estimate(double value, double standardUncertainty) {
        this(value, standardUncertainty, Budget.NONE);
    }

    /** A figure whose doubt is the sum of its budget. */
    public Estimate(double value, Budget budget) {
        this(value, budget.standardUncertainty(), budget);
    }
}
