package app.galdrin.web.bay;

import app.galdrin.core.Keyed;

/** Facing of a vehicle in its bay: driven in, or backed in, which turns both slopes round. */
public enum Facing implements Keyed {
    FAR_END("farEnd", 1),
    DOOR("door", -1);

    private final String key;
    private final int sign;

    Facing(String key, int sign) {
        this.key = key;
        this.sign = sign;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns what turns a slope of the bay into one of the vehicle. */
    int sign() {
        return sign;
    }
}
