package app.galdrin.core.procedure;

import app.galdrin.core.Keyed;

/** The end of a wheel or of the vehicle at which a reading is taken. */
public enum End implements Keyed {
    FRONT("front"),
    HUB("hub"),
    REAR("rear"),
    TOP("top"),
    BOTTOM("bottom");

    private final String key;

    End(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns whether it is named first where two ends are compared. */
    public boolean comesFirst() {
        return this == FRONT || this == TOP;
    }

    /** The other end; the hub is its own. */
    public End other() {
        return switch (this) {
            case FRONT -> REAR;
            case REAR -> FRONT;
            case HUB -> HUB;
            case TOP -> BOTTOM;
            case BOTTOM -> TOP;
        };
    }
}
