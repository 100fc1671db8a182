package app.galdrin.web.moderation;

import app.galdrin.core.Keyed;

/** Decision on a sheet. */
public enum ModerationDecision implements Keyed {
    AGREE("agree"),
    RETURN("return");

    private final String key;

    ModerationDecision(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
