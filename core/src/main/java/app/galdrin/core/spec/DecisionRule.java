package app.galdrin.core.spec;

import app.galdrin.core.Keyed;

/** Rule by which a value meets its limits [14253-1]. */
public enum DecisionRule implements Keyed {
    /** Inside is inside; the doubt is shown. */
    SIMPLE("simple"),
    /** Inside by at least the expanded uncertainty. */
    GUARDED("guarded");

    private final String key;

    DecisionRule(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
