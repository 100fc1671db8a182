package app.galdrin.core.task;

import app.galdrin.core.Keyed;

/** Mode of a sheet: it explains at once, or is silent until the mark is released. */
public enum Mode implements Keyed {
    PRACTICE("practice"),
    ASSESSMENT("assessment");

    private final String key;

    Mode(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
