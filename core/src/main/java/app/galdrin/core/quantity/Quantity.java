package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;

/** Quantity that a text stands for. */
public enum Quantity implements Keyed {
    LENGTH("length"),
    ANGLE("angle"),
    /** Turns of a rod; written without a unit. */
    COUNT("count"),
    /** Torque of a fastener. */
    TORQUE("torque"),
    /** Air in a tyre or a spring. */
    PRESSURE("pressure");

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
     * @param documented in the unit of documents: mm, deg, a count, N·m or kPa
     * @return mm, rad, a count, N·m or kPa
     */
    public double toCore(double documented) {
        return this == ANGLE ? Math.toRadians(documented) : documented;
    }

    /**
     * Returns a value in the unit of documents.
     *
     * @param inCore in the unit of the core: mm, rad, a count, N·m or kPa
     * @return mm, deg, a count, N·m or kPa
     */
    public double toDocument(double inCore) {
        return this == ANGLE ? Math.toDegrees(inCore) : inCore;
    }
}
