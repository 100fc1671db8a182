package app.galdrin.core.geometry;

import app.galdrin.core.Keyed;

/** An axle of a two-axle vehicle. */
public enum Axle implements Keyed {
    FRONT("front"),
    REAR("rear");

    private final String key;

    Axle(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
