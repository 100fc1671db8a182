package app.galdrin.web.equipment;

import app.galdrin.core.Keyed;

/** A centre's rule for a piece whose certificate has run out. */
public enum PastDue implements Keyed {
    /** The piece can be used, and the sheet says so. */
    WARN("warn"),
    /** The piece is not offered. */
    REFUSE("refuse");

    private final String key;

    PastDue(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
