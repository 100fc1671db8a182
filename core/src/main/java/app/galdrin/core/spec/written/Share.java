package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;

/** Whose a toe in millimetres is. */
public enum Share implements Keyed {
    /** Both wheels together. */
    TOTAL("total"),
    EACH("each");

    private final String key;

    Share(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
