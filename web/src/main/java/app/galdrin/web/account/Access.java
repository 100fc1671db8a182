package app.galdrin.web.account;

/** Access that a session gives. */
public enum Access {
    /** All pages of the role: somebody signed in. */
    ROLE,
    /** The sitting of the opening whose code was typed, and nothing else that an apprentice can see. */
    SITTING,
    /** The page on which a password is chosen: somebody signed in with a one-time one. */
    NEW_PASSWORD,
    /** Delivers to its own sittings what was written before it was ended, and nothing else. */
    DELIVERY;

    /** The authority Spring Security knows it by. */
    String authority(Role role) {
        return this == ROLE ? role.authority() : "ROLE_" + name();
    }
}
