package app.galdrin.web.sitting;

import java.util.Locale;

/** The parts of a sitting in the order of the work, and what the instructor writes afterwards. */
public enum Stage {
    PREPARE("prepare"),
    AS_FOUND("asFound"),
    WORK("work"),
    JUDGE("judge"),
    PLAN("plan"),
    AS_LEFT("asLeft"),
    HAND_IN("handIn"),
    FLAG("flag"),
    MARK("mark");

    private final String key;

    Stage(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }

    /** Address of the stage's page. */
    public String path() {
        return key.replaceAll("([A-Z])", "-$1").toLowerCase(Locale.ROOT);
    }

    /** Whether readings are written on the sketch here. */
    public boolean onSketch() {
        return this == AS_FOUND || this == AS_LEFT;
    }
}
