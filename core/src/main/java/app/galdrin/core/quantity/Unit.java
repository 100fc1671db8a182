package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;
import java.util.Arrays;
import java.util.Optional;

/** Units people write; {@link #factor()} brings a figure to millimetres or degrees. 1 in = 25.4 mm, 1 ft = 12 in. */
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
    TIMES("times", Quantity.COUNT, 1);

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

    /** Millimetres or degrees in one of this unit. */
    public double factor() {
        return factor;
    }

    public static Optional<Unit> ofKey(String key) {
        return Arrays.stream(values()).filter(u -> u.key.equals(key)).findFirst();
    }
}
