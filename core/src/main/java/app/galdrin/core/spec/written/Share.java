package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;

/** Share that a toe in millimetres counts. */
public enum Share implements Keyed {
    /** The sum of both wheels. */
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
