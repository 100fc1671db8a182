package app.galdrin.core.quantity;

/**
 * A text as it was read.
 *
 * @see QuantityParser
 */
public sealed interface QuantityText {

    /**
     * A text that is a quantity.
     *
     * @param value in the unit of documents of its quantity, in size at most {@link QuantityParser#LARGEST}
     * @param unit the unit of the first figure, or the default unit
     * @param step one unit of the last place as written, likewise, positive: 12.5 mm has 0.1, 3/16" has
     *     1/16 in, 0°24' has 1'
     */
    record ParsedQuantity(double value, Unit unit, double step) implements QuantityText {}

    /** A text that is not a quantity. */
    record Rejection(TextFault reason) implements QuantityText {}
}
