package app.galdrin.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Writes figures for people: true minus sign, figures rounded half up, minutes rolled over into degrees. */
public final class QuantityFormat {

    private static final String MINUS = "\u2212";

    private QuantityFormat() {}

    /**
     * A figure, in whatever unit stands beside it, with a fixed number of places and, if wanted, a plus sign; never a negative zero.
     *
     * @param value in whatever unit stands beside it
     */
    public static String decimal(double value, int places, boolean plus) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
        String size = rounded.abs().toPlainString();
        return sign(rounded.signum(), plus) + size;
    }

    /**
     * A figure to as many places as {@link #decimal} shows of it, in the same unit.
     *
     * @param value in whatever unit it has
     */
    public static double rounded(double value, int places) {
        return BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP).doubleValue();
    }

    /**
     * A length in mm as a person wrote or measured it: as many places as it needs, two at the most.
     *
     * @param millimetres mm
     */
    public static String length(double millimetres) {
        BigDecimal rounded = BigDecimal.valueOf(millimetres)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return sign(rounded.signum(), false) + rounded.abs().toPlainString();
    }

    /**
     * Degrees and whole minutes, rolled over: 0.995° is 1°00'.
     *
     * @param degrees deg
     */
    public static String degreesMinutes(double degrees, boolean plus) {
        long minutes = Math.round(Math.abs(degrees) * 60);
        int signum = minutes == 0 ? 0 : (int) Math.signum(degrees);
        return sign(signum, plus) + minutes / 60 + "\u00b0" + twoDigits(minutes % 60) + "\u2032";
    }

    /**
     * Inches as a mixed figure to the nearest part, reduced, and what that leaves over: 30.3 mm in sixteenths is 1 3/16, and
     * 0.14 mm more.
     *
     * @param fraction the mixed figure with the inch sign
     * @param residue value − fraction, mm, at most half a part in size
     */
    public record Inches(String fraction, double residue) {

        /** The fraction, and the residue where it shows in hundredths of a millimetre: 1 3/16″ +0.14 mm. */
        public String withResidue() {
            String rest = decimal(residue, 2, true);
            return rest.equals("0.00") ? fraction : fraction + " " + rest + "\u00a0mm";
        }
    }

    /**
     * A length in mm to the nearest part of an inch; {@code parts} is 16 or 32.
     *
     * @param millimetres mm
     */
    public static Inches inches(double millimetres, int parts) {
        long count = Math.round(Math.abs(millimetres) / Unit.IN.factor() * parts);
        long whole = count / parts;
        long rest = count % parts;
        long divisor = gcd(rest, parts);
        String fraction = rest / divisor + "/" + parts / divisor;
        String both = whole == 0 ? fraction : whole + "\u00a0" + fraction;
        String written = rest == 0 ? Long.toString(whole) : both;
        int signum = count == 0 ? 0 : (int) Math.signum(millimetres);
        double shown = signum * count * Unit.IN.factor() / parts;
        return new Inches(sign(signum, false) + written + "\u2033", millimetres - shown);
    }

    private static String sign(int signum, boolean plus) {
        if (signum < 0) {
            return MINUS;
        }
        return plus && signum > 0 ? "+" : "";
    }

    private static String twoDigits(long n) {
        return n < 10 ? "0" + n : Long.toString(n);
    }

    private static long gcd(long a, long b) {
        return b == 0 ? a : gcd(b, a % b);
    }
}
