package app.galdrin.core.uncertainty;

/**
 * A figure and how well it is known.
 *
 * @param value in the figure's unit
 * @param standardUncertainty in the same unit, 0 or more; 0 where nothing was said of it
 */
public record Estimate(double value, double standardUncertainty) {}
