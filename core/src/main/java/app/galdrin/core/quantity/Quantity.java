package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;

/** What a text stands for. */
public enum Quantity implements Keyed {
    LENGTH("length"),
    ANGLE("angle"),
    /** Turns of a rod; written without a unit. */
    COUNT("count");

    private final String key;

    Quantity(String key) {
        this.key = key;
    }

    /** The name in records. */
    @Override
    public String key() {
        return key;
    }
}
