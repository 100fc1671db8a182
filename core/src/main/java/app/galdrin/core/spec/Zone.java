package app.galdrin.core.spec;

import app.galdrin.core.Keyed;

/** Where a value lies against its limits when its doubt is counted. */
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

    /** Whether the doubt reaches across a limit: too close to tell. */
    public boolean inDoubt() {
        return this == DOUBT_INSIDE || this == DOUBT_OUTSIDE;
    }
}
