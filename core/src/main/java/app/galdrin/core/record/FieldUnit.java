package app.galdrin.core.record;

import app.galdrin.core.quantity.Quantity;

/** Unit of a number in a record. Records carry degrees, the core works in radians: {@link #toCore}, {@link #toRecord}. */
public enum FieldUnit {
    LENGTH("mm", Quantity.LENGTH, false),
    ANGLE("deg", Quantity.ANGLE, true),
    ANGLE_PER_TURN("deg a turn", Quantity.COUNT, true),
    ANGLE_PER_LENGTH("deg/mm", Quantity.COUNT, true),
    SIDESLIP("mm/m", Quantity.COUNT, false),
    TURNS("turns", Quantity.COUNT, false),
    PERCENT("%", Quantity.COUNT, false),
    NUMBER("", Quantity.COUNT, false);

    private final String symbol;
    private final Quantity quantity;
    private final boolean angular;

    FieldUnit(String symbol, Quantity quantity, boolean angular) {
        this.symbol = symbol;
        this.quantity = quantity;
        this.angular = angular;
    }

    /** Returns the unit of a quantity. */
    public static FieldUnit of(Quantity quantity) {
        return switch (quantity) {
            case LENGTH -> LENGTH;
            case ANGLE -> ANGLE;
            case COUNT, TORQUE, PRESSURE -> NUMBER;
        };
    }

    /** Returns the symbol in documents; empty for a bare number. */
    public String symbol() {
        return symbol;
    }

    /** Returns how a person writes it: a length or an angle may carry a unit, all else is a bare figure. */
    public Quantity quantity() {
        return quantity;
    }

    /**
     * A number of a record in the unit of the core.
     *
     * @param inRecord in the unit of records, mm or deg
     */
    public double toCore(double inRecord) {
        return angular ? Quantity.ANGLE.toCore(inRecord) : inRecord;
    }

    /**
     * A number of the core in the unit of records.
     *
     * @param inCoreUnit mm or rad
     */
    public double toRecord(double inCoreUnit) {
        return angular ? Quantity.ANGLE.toDocument(inCoreUnit) : inCoreUnit;
    }
}
