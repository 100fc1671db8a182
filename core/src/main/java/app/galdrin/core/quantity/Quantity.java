package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;

/** Quantity that a text stands for. */
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

    /**
     * Returns a value in the unit of the core. Documents, readings and pages carry degrees and the core works in radians; here and in
     * {@link #toDocument} they turn.
     *
     * @param documented in the unit of documents: mm, deg or a count
     * @return mm, rad or a count
     */
    public double toCore(double documented) {
        return this == ANGLE ? Math.toRadians(documented) : documented;
    }

    /**
     * Returns a value in the unit of documents.
     *
     * @param inCore in the unit of the core: mm, rad or a count
     * @return mm, deg or a count
     */
    public double toDocument(double inCore) {
        return this == ANGLE ? Math.toDegrees(inCore) : inCore;
    }
}
