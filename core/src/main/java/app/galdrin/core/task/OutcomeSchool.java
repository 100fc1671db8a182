package app.galdrin.core.task;

import app.galdrin.core.Keyed;

/** Outcome that stands first on the mark sheet; both are always worked out. */
public enum OutcomeSchool implements Keyed {
    COMPETENCE("competence"),
    GRADED("graded");

    private final String key;

    OutcomeSchool(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
