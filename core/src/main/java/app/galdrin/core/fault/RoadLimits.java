package app.galdrin.core.fault;

import app.galdrin.core.figure.FigureId;

/**
 * Limits beyond which a vehicle is not set, because somebody has to drive it out of its bay.
 *
 * @param toe greatest toe of a wheel either way, rad, positive
 * @param camber greatest camber of a wheel either way, rad, positive
 */
public record RoadLimits(double toe, double camber) {

    /** Limits of a centre that sets none: our own, well beyond what a lesson needs and far from what makes a vehicle wander at walking pace. */
    public static final RoadLimits USUAL = new RoadLimits(Math.toRadians(1.5), Math.toRadians(3));

    /** Returns whether a figure, rad, may be set to a value; figures without a limit always may. */
    boolean allows(FigureId figure, double value) {
        return switch (figure.measurand()) {
            case TOE -> Math.abs(value) <= toe;
            case CAMBER -> Math.abs(value) <= camber;
            default -> true;
        };
    }
}
