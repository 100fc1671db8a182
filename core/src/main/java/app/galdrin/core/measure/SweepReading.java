package app.galdrin.core.measure;

/**
 * One reading of a steered wheel, rad.
 *
 * @param steer ψ, rad, to the left positive
 * @param camber as the inclinometer shows it, rad, top outward positive
 */
public record SweepReading(double steer, double camber) {}
