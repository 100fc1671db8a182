package app.galdrin.core.geometry;

import app.galdrin.core.Keyed;

/** A side of the vehicle, as the driver sees it. */
public enum Side implements Keyed {
    LEFT("left", 1),
    RIGHT("right", -1);

    private final String key;
    private final int sign;

    Side(String key, int sign) {
        this.key = key;
        this.sign = sign;
    }

    @Override
    public String key() {
        return key;
    }

    /** s of the formulas: +1 left, −1 right. */
    public int sign() {
        return sign;
    }

    /** Returns the side across. */
    public Side other() {
        return this == LEFT ? RIGHT : LEFT;
    }
}
