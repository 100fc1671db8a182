package app.galdrin.web.account;

import app.galdrin.core.Keyed;

/** What is tried: names and codes have nothing to do with one another. */
public enum AttemptKind implements Keyed {
    SIGN_IN("signIn"),
    JOIN("join");

    private final String key;

    AttemptKind(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
