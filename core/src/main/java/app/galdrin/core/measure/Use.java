package app.galdrin.core.measure;

import app.galdrin.core.Keyed;

/** What an instrument is used for at a place: of those that do for it a task names one. */
public enum Use implements Keyed {
    /** From a string or a face to a rim, across the vehicle. */
    GAP("gap"),
    /** Between two strings. */
    SPACING("spacing"),
    /** Across an axle or along a vehicle. */
    SPAN("span"),
    /** From a beam to a rim. */
    BEAM("beam"),
    /** A wheel's lean, or a floor's. */
    LEVEL("level"),
    /** How far a wheel is turned. */
    STEER("steer"),
    /** The lean of an axle's pad, a knuckle or a frame. */
    AXIS("axis"),
    /** On a flag opposite. */
    FLAG("flag"),
    /** On a head clamped to the wheel. */
    HEAD("head"),
    /** How far a plate slides. */
    SLIP("slip");

    private final String key;

    Use(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
