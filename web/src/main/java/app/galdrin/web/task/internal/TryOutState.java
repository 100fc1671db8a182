package app.galdrin.web.task.internal;

import app.galdrin.core.Keyed;

/** State of the work. */
enum TryOutState implements Keyed {
    WAITING("waiting"),
    WORKING("working"),
    READY("ready"),
    FAILED("failed");

    private final String key;

    TryOutState(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns whether a page has something to follow. */
    public boolean moves() {
        return this == WAITING || this == WORKING;
    }
}
