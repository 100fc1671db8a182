package app.galdrin.core.quantity;

/** What a text stands for. */
public enum Quantity {
    LENGTH,
    ANGLE,
    /** Turns of a rod; written without a unit. */
    COUNT
}
