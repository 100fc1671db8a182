package app.galdrin.web.task;

import java.util.Locale;

/** Which outcome stands first on the mark sheet; both are always worked out. */
public enum OutcomeSchool {
    COMPETENCE,
    GRADED;

    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
