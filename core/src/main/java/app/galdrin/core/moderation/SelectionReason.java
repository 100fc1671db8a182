package app.galdrin.core.moderation;

import app.galdrin.core.Keyed;

/** Reason for which a sheet is in the sample; the first that holds. */
public enum SelectionReason implements Keyed {
    OVERRIDE("override"),
    BORDERLINE("borderline"),
    DRAWN("drawn");

    private final String key;

    SelectionReason(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
