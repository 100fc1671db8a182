package app.galdrin.web.bay;

import app.galdrin.core.Keyed;

/** Cause of a change of where a vehicle stands, or of its state. */
public enum StandingCause implements Keyed {
    /** Setting that an instructor gave it for a task. */
    PRESET("preset"),
    /** Round of a sitting in which somebody adjusted it. */
    ROUND("round"),
    /** Return to the setting it had before it was adjusted. */
    PUT_BACK("putBack"),
    /** Change that somebody made without a sheet. */
    OUTSIDE("outside"),
    /** Move to another bay, or out of all of them; its state stays. */
    PLACED("placed"),
    /** Word of an instructor that the next sheet uses it as it was left; its state stays. */
    LENT("lent");

    private final String key;

    StandingCause(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
