package app.galdrin.core.quantity;

/** What a text stands for. */
public enum Quantity {
    LENGTH("length"),
    ANGLE("angle"),
    /** Turns of a rod; written without a unit. */
    COUNT("count");

    private final String key;

    Quantity(String key) {
        this.key = key;
    }

    /** The name in records. */
    public String key() {
        return key;
    }
}
