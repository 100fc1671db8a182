package app.galdrin.web.account;

import app.galdrin.core.Keyed;

/** Kind of attempt: names and codes are counted separately. */
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
