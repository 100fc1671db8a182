package app.galdrin.core.task;

import app.galdrin.core.Keyed;

/** Datum of the toe of a front wheel. */
public enum FrontDatum implements Keyed {
    /** The line along which the rear wheels push the vehicle: the steering wheel is straight when the fronts are set to it. */
    THRUST_LINE("thrustLine"),
    /** The vehicle's own centreline. */
    CENTRELINE("centreline");

    private final String key;

    FrontDatum(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
