package app.galdrin.core.measure;

import app.galdrin.core.Keyed;

/** Use of an instrument at a place: a task names one of those that do for it. */
public enum Use implements Keyed {
    /** A gap from a string or a face to a rim, across the vehicle. */
    GAP("gap"),
    /** A length between two strings. */
    SPACING("spacing"),
    /** Across an axle or along a vehicle. */
    SPAN("span"),
    /** A gap from a beam to a rim. */
    BEAM("beam"),
    /** A wheel's lean, or a floor's. */
    LEVEL("level"),
    /** Turn of a wheel. */
    STEER("steer"),
    /** The lean of an axle's pad, a knuckle or a frame. */
    AXIS("axis"),
    /** A reading on the flag opposite. */
    FLAG("flag"),
    /** A reading on the flag opposite that is scaled in millimetres. */
    FLAG_SCALE("flagScale"),
    /** A reading on a head clamped to the wheel. */
    HEAD("head"),
    /** Travel of a plate. */
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
