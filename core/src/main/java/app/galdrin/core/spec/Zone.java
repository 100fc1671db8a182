package app.galdrin.core.spec;

import app.galdrin.core.Keyed;

/** The position of a value against its limits, with its uncertainty. */
public enum Zone implements Keyed {
    INSIDE("inside"),
    DOUBT_INSIDE("doubtInside"),
    DOUBT_OUTSIDE("doubtOutside"),
    OUTSIDE("outside");

    private final String key;

    Zone(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns whether the doubt reaches across a limit: too close to tell. */
    public boolean inDoubt() {
        return this == DOUBT_INSIDE || this == DOUBT_OUTSIDE;
    }
}
