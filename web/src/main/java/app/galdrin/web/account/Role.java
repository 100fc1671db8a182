package app.galdrin.web.account;

import java.util.Locale;

/** Role of a person. */
public enum Role {
    INSTRUCTOR,
    APPRENTICE,
    VERIFIER,
    OFFICE;

    /** The key of its words. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The authority Spring Security knows it by. */
    public String authority() {
        return "ROLE_" + name();
    }
}
