package app.galdrin.web.task;

import java.util.Locale;

/** Whether the sheet explains at once or is silent until the mark is released. */
public enum Mode {
    PRACTICE,
    ASSESSMENT;

    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
