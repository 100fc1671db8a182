package app.galdrin.core.marking;

/**
 * Largest contribution to an uncertainty; its share of the variance is 0 to 1.
 *
 * @param share share of the variance, 0 to 1
 */
public record DoubtShare(String group, double share) {}
