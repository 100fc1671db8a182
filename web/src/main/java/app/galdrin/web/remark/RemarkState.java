package app.galdrin.web.remark;

import app.galdrin.core.Keyed;

/** State of the work. */
public enum RemarkState implements Keyed {
    WORKING("working"),
    READY("ready"),
    APPLYING("applying"),
    APPLIED("applied"),
    CANCELLED("cancelled"),
    FAILED("failed"),
    /** Refusal because something was written or marked since it was worked out. */
    STALE("stale");

    private final String key;

    RemarkState(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns whether it is at work, so that a page has something to follow. */
    public boolean moves() {
        return this == WORKING || this == APPLYING;
    }
}
