package app.galdrin.core.spec;

import app.galdrin.core.Keyed;

/** Adjustability of a measurand on a vehicle; where it cannot be adjusted, out of specification means damage or wear. */
public enum Adjustable implements Keyed {
    YES("yes"),
    NO("no"),
    /** Adjustable only with parts that are not on the vehicle as it comes. */
    WITH_ADDED_PARTS("addedParts"),
    /** The maker does not say, and nobody has looked: nothing is asked or marked of it. */
    NOT_KNOWN("notKnown");

    private final String key;

    Adjustable(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
