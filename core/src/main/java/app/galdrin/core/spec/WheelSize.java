package app.galdrin.core.spec;

/**
 * Wheel and tyre size of an axle.
 *
 * @param rimDiameter between the rim's edges, the baseline of readings taken there, mm, positive
 * @param tyreRadius mm, greater than half the rim
 */
public record WheelSize(double rimDiameter, double tyreRadius) {

    public WheelSize {
        if (!(rimDiameter > 0) || !(2 * tyreRadius > rimDiameter)) {
            throw new IllegalArgumentException(
                    "a wheel's rim (" + rimDiameter + " mm) must be positive and smaller than its tyre (radius "
                            + tyreRadius + " mm): were radius and diameter taken for one another?");
        }
    }
}
