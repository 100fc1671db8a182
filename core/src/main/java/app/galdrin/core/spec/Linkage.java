package app.galdrin.core.spec;

import app.galdrin.core.Keyed;

/** The position of the steering linkage, seen from the front axle. It decides which way a longer rod turns the wheel. */
public enum Linkage implements Keyed {
    BEHIND("behind", 1),
    AHEAD("ahead", -1);

    private final String key;
    private final int sign;

    Linkage(String key, int sign) {
        this.key = key;
        this.sign = sign;
    }

    @Override
    public String key() {
        return key;
    }

    /** +1 where lengthening a rod turns its wheel toe-in, −1 where it turns it toe-out. */
    public int toeInWhenLengthened() {
        return sign;
    }
}
