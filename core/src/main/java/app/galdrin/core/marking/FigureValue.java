package app.galdrin.core.marking;

/**
 * A figure and its standard uncertainty, rad or mm.
 *
 * @param value rad or mm, with the sign of its measurand
 * @param doubt standard uncertainty, rad or mm, 0 or more
 */
public record FigureValue(double value, double doubt) {}
