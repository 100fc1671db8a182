package app.galdrin.core.spec;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;

/**
 * Identity of a vehicle.
 *
 * @param body what it is in a word or two, such as small van
 * @param drivenAxle the one that drives; of both the front
 * @param driverSide where the driver sits
 */
public record Vehicle(String make, String model, String body, String registration, Axle drivenAxle, Side driverSide) {

    /** Returns its make and model. */
    public String name() {
        return make + " " + model;
    }
}
