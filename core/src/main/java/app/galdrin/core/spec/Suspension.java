package app.galdrin.core.spec;

import app.galdrin.core.Keyed;

/** Suspension of an axle, which decides what can be laid on it. */
public enum Suspension implements Keyed {
    STRUT("strut"),
    DOUBLE_WISHBONE("doubleWishbone"),
    /** A beam axle with kingpins. */
    BEAM("beam"),
    /** A solid axle that does not steer. */
    RIGID("rigid");

    private final String key;

    Suspension(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
