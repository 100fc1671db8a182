package app.galdrin.web.sitting;

import app.galdrin.core.Keyed;

/** Purpose of a sitting: an apprentice's work, or the instructor's own readings of a vehicle state. */
public enum Purpose implements Keyed {
    PRACTICAL("practical"),
    REFERENCE("reference");

    private final String key;

    Purpose(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
