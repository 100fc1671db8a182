package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Units people write; {@link #factor()} brings a figure to the unit of documents: millimetres, degrees, newton metres or kilopascals.
 * 1 in = 25.4 mm, 1 ft = 12 in, 1 lbf = 4.4482216152605 N, 1 kgf = 9.80665 N, 1 bar = 100 kPa, all exact [SP811].
 */
public enum Unit implements Keyed {
    MM("mm", Quantity.LENGTH, 1),
    IN("in", Quantity.LENGTH, 25.4),
    FT("ft", Quantity.LENGTH, 304.8),
    DEG("deg", Quantity.ANGLE, 1),
    ARCMIN("arcmin", Quantity.ANGLE, 1 / 60.0),
    ARCSEC("arcsec", Quantity.ANGLE, 1 / 3600.0),
    TURNS("turns", Quantity.COUNT, 1),
    FLATS("flats", Quantity.COUNT, 1),
    CAM_MARKS("camMarks", Quantity.COUNT, 1),
    SPLINES("splines", Quantity.COUNT, 1),
    /** A bare factor. */
    TIMES("times", Quantity.COUNT, 1),
    NEWTON_METRE("N\u00b7m", Quantity.TORQUE, 1),
    POUND_FOOT("lbf\u00b7ft", Quantity.TORQUE, Unit.POUND_FORCE * 0.3048),
    POUND_INCH("lbf\u00b7in", Quantity.TORQUE, Unit.POUND_FORCE * 0.0254),
    KILOPOND_METRE("kgf\u00b7m", Quantity.TORQUE, 9.80665),
    KILOPASCAL("kPa", Quantity.PRESSURE, 1),
    BAR("bar", Quantity.PRESSURE, 100),
    PSI("psi", Quantity.PRESSURE, Unit.POUND_FORCE / (0.0254 * 0.0254) / 1000);

    /** N. */
    private static final double POUND_FORCE = 4.4482216152605;

    private final String key;
    private final Quantity quantity;
    private final double factor;

    Unit(String key, Quantity quantity, double factor) {
        this.key = key;
        this.quantity = quantity;
        this.factor = factor;
    }

    /** The name in records and message keys. */
    @Override
    public String key() {
        return key;
    }

    /** Returns what it is a unit of. */
    public Quantity quantity() {
        return quantity;
    }

    /** Returns the symbol that stands behind a figure, with its space; empty of a bare number. */
    public String symbol() {
        return switch (this) {
            case DEG -> "\u00b0";
            case ARCMIN -> "\u2032";
            case ARCSEC -> "\u2033";
            case TIMES -> "";
            default -> "\u00a0" + key;
        };
    }

    /** Returns how many millimetres, degrees, newton metres or kilopascals one of this unit is. */
    public double factor() {
        return factor;
    }

    /**
     * Returns a figure of this unit in another unit of the same quantity.
     *
     * @param value in this unit
     */
    public double convert(double value, Unit to) {
        return value * factor / to.factor;
    }

    /** Returns all units of a quantity. */
    public static List<Unit> all(Quantity quantity) {
        return Arrays.stream(values()).filter(u -> u.quantity == quantity).toList();
    }

    public static Optional<Unit> ofKey(String key) {
        return Arrays.stream(values()).filter(u -> u.key.equals(key)).findFirst();
    }
}
