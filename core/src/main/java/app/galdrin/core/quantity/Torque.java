package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Units of torque. 1 lbf = 4.4482216152605 N, 1 in = 25.4 mm, 1 kgf = 9.80665 N, all exact [SP811]. */
public enum Torque implements Keyed {
    NEWTON_METRE("N\u00b7m", 1),
    POUND_FOOT("lbf\u00b7ft", 4.4482216152605 * 0.3048),
    POUND_INCH("lbf\u00b7in", 4.4482216152605 * 0.0254),
    KILOPOND_METRE("kgf\u00b7m", 9.80665);

    /** A figure and the letters of its unit; three digits after a comma could be thousands, so they are no decimals. */
    private static final Pattern WRITTEN = Pattern.compile("([0-9]{1,5}(?:\\.[0-9]{1,4}|,[0-9]{1,2})?)([a-z]*)");

    private static final Pattern BETWEEN = Pattern.compile("[\\s\u00b7.\u22c5*-]+(?=[a-z])|(?<=[a-z])[\\s.]+");

    private final String symbol;
    private final double newtonMetres;

    Torque(String symbol, double newtonMetres) {
        this.symbol = symbol;
        this.newtonMetres = newtonMetres;
    }

    /** Returns the unit as it is written, with a middle dot. */
    @Override
    public String key() {
        return symbol;
    }

    /** Newton metres in one of this unit. */
    public double newtonMetres() {
        return newtonMetres;
    }

    /**
     * A torque in this unit, in another.
     *
     * @param value in this unit
     */
    public double convert(double value, Torque to) {
        return value * newtonMetres / to.newtonMetres;
    }

    /**
     * A torque as it is written, N·m: {@code 45}, {@code 45 N·m}, {@code 33 lbf ft}, {@code 400 in lb}, {@code 4,5 kgf·m}. A figure
     * without a unit is in newton metres. Empty where it is none.
     */
    public static OptionalDouble parse(String text) {
        Matcher written = WRITTEN.matcher(
                BETWEEN.matcher(text.strip().toLowerCase(Locale.ROOT)).replaceAll(""));
        if (!written.matches()) {
            return OptionalDouble.empty();
        }
        double value = Double.parseDouble(written.group(1).replace(',', '.'));
        return switch (written.group(2)) {
            case "", "nm" -> OptionalDouble.of(value);
            case "lbfft", "ftlbf", "lbft", "ftlb" -> OptionalDouble.of(value * POUND_FOOT.newtonMetres);
            case "lbfin", "inlbf", "lbin", "inlb" -> OptionalDouble.of(value * POUND_INCH.newtonMetres);
            case "kgfm", "mkgf", "kgm" -> OptionalDouble.of(value * KILOPOND_METRE.newtonMetres);
            default -> OptionalDouble.empty();
        };
    }
}
