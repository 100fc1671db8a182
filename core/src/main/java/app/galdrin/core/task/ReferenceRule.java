package app.galdrin.core.task;

import app.galdrin.core.Keyed;

/** Readings that the reference of a vehicle's state rests on. */
public enum ReferenceRule implements Keyed {
    /** An instructor's own readings alone. */
    INSTRUCTOR("instructor"),
    /** All that there are: an instructor's, other apprentices', and what was moved since a state that was known. */
    COMBINED("combined");

    private final String key;

    ReferenceRule(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
