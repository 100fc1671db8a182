package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;

/** Form in which a centre shows angles; either form may be typed everywhere. */
public enum AngleDisplay implements Keyed {
    DEGREES("deg"),
    DEGREES_MINUTES("degMin");

    private static final int MINUTES = 60;

    private final String key;

    AngleDisplay(String key) {
        this.key = key;
    }

    /** The name in the database and the end of message keys. */
    @Override
    public String key() {
        return key;
    }

    /**
     * A figure in degrees, with a plus sign if wanted: {@code +0.16°} or {@code +0°10′}.
     *
     * @param degrees deg
     */
    public String show(double degrees, boolean plus) {
        return this == DEGREES
                ? QuantityFormat.decimal(degrees, 2, plus) + "°"
                : QuantityFormat.degreesMinutes(degrees, plus);
    }

    /**
     * Returns what {@link #show} prints of a figure, both deg.
     *
     * @param degrees deg
     */
    public double rounded(double degrees) {
        return this == DEGREES
                ? QuantityFormat.rounded(degrees, 2)
                : Math.copySign((double) Math.round(Math.abs(degrees) * MINUTES) / MINUTES, degrees);
    }

    /**
     * A reading, 0 or more, with every place that an instrument shows: {@code 0.355°} or {@code 0°21.3′}.
     *
     * @param degrees deg
     */
    public String reading(double degrees) {
        if (this == DEGREES) {
            return QuantityFormat.decimal(degrees, 3, false).replaceFirst("0$", "") + "°";
        }
        double minutes = Math.rint(degrees * MINUTES * 10) / 10;
        String rest = QuantityFormat.decimal(minutes % MINUTES, 1, false).replaceFirst("\\.0$", "");
        return (long) (minutes / MINUTES) + "°" + (minutes % MINUTES < 10 ? "0" : "") + rest + "′";
    }

    /**
     * A doubt or a band, 0 or more: {@code 0.042°} or {@code 2.5′}.
     *
     * @param degrees deg, 0 or more
     */
    public String doubt(double degrees) {
        return this == DEGREES
                ? QuantityFormat.decimal(degrees, 3, false) + "°"
                : QuantityFormat.decimal(degrees * MINUTES, 1, false) + "′";
    }
}
