package app.galdrin.core.marking;

/**
 * A figure as an apprentice wrote it.
 *
 * @param value in the answer's unit: deg or mm
 * @param step one unit of its last place, same unit, positive
 */
public record Written(double value, double step) {}
