package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;
import java.util.Locale;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/**
 * Works one line of a pocket calculator: numbers, {@code + − × ÷}, brackets, mixed fractions such as {@code 1 3/16}, degrees and minutes such
 * as {@code 0°24'}, and the functions sin, cos, tan, asin, acos, atan in degrees and sqrt. The bay sheet's script works the same lines while
 * there is no connection; one table of cases holds both.
 */
public final class Calculation {

    /** A line is no longer than this. */
    public static final int LONGEST = 120;

    private static final double MINUTES = 60;
    private static final int DEEPEST = 20;

    private static final Map<String, DoubleUnaryOperator> FUNCTIONS = Map.of(
            "sin", x -> Math.sin(Math.toRadians(x)),
            "cos", x -> Math.cos(Math.toRadians(x)),
            "tan", x -> Math.tan(Math.toRadians(x)),
            "asin", x -> Math.toDegrees(Math.asin(x)),
            "acos", x -> Math.toDegrees(Math.acos(x)),
            "atan", x -> Math.toDegrees(Math.atan(x)),
            "sqrt", Math::sqrt);

    /** Result of a line. */
    public sealed interface Result {
        /**
         * The number it gives: degrees where an inverse function comes last, else of whatever unit was typed.
         *
         * @param value without unit
         */
        record Value(double value) implements Result {}

        /** Failure of a line. */
        record Failure(Fault fault) implements Result {}
    }

    /** Reason for which a line gives no number. */
    public enum Fault implements Keyed {
        /** A part is missing, or stands where it cannot. */
        MALFORMED("malformed"),
        /** A division by 0, the root of a negative number or the inverse of a ratio above 1. */
        NO_NUMBER("noNumber"),
        TOO_LONG("tooLong");

        private final String key;

        Fault(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    private final String text;
    private int at;
    private int depth;

    private Calculation(String text) {
        this.text = text;
    }

    /** Works a line; capitals and spaces do not matter. */
    public static Result work(String line) {
        if (line.length() > LONGEST) {
            return new Result.Failure(Fault.TOO_LONG);
        }
        var calculation = new Calculation(line.strip()
                .toLowerCase(Locale.ROOT)
                .replace('\u00a0', ' ')
                .replace('\u2212', '-')
                .replace('\u00d7', '*')
                .replace('\u00b7', '*')
                .replace('\u00f7', '/')
                .replace(':', '/')
                .replace('\u2032', '\'')
                .replace('\u2019', '\'')
                .replace("\u221a", "sqrt"));
        try {
            double value = calculation.sum();
            if (calculation.at < calculation.text.length()) {
                return new Result.Failure(Fault.MALFORMED);
            }
            return Double.isFinite(value) ? new Result.Value(value + 0.0) : new Result.Failure(Fault.NO_NUMBER);
        } catch (SyntaxError e) {
            return new Result.Failure(Fault.MALFORMED);
        }
    }

    /** The line can't be read any further. */
    private static final class SyntaxError extends RuntimeException {
        private static final long serialVersionUID = 1;

        SyntaxError() {
            super("malformed", null, false, false);
        }
    }

    private double sum() {
        if (++depth > DEEPEST) {
            throw new SyntaxError();
        }
        double value = product();
        for (char sign = next("+-"); sign != 0; sign = next("+-")) {
            double term = product();
            value += sign == '+' ? term : -term;
        }
        depth--;
        return value;
    }

    private double product() {
        double value = signed();
        for (char sign = next("*/"); sign != 0; sign = next("*/")) {
            double factor = signed();
            value = sign == '*' ? value * factor : value / factor;
        }
        return value;
    }

    private double signed() {
        char sign = next("+-");
        return sign == '-' ? -single() : single();
    }

    private double single() {
        if (next("(") != 0) {
            return closed();
        }
        int from = at;
        while (at < text.length() && Character.isLetter(text.charAt(at))) {
            at++;
        }
        if (at == from) {
            return number();
        }
        DoubleUnaryOperator function = FUNCTIONS.get(text.substring(from, at));
        if (function == null) {
            throw new SyntaxError();
        }
        return function.applyAsDouble(next("(") != 0 ? closed() : number());
    }

    private double closed() {
        double value = sum();
        if (next(")") == 0) {
            throw new SyntaxError();
        }
        return value;
    }

    private double number() {
        double value = decimal();
        boolean whole = value == Math.rint(value);
        if (next("\u00b0") != 0) {
            return isDigitNext() ? value + minutes() : value;
        }
        int before = at;
        if (whole && spaceBefore(at) && isDigitNext()) {
            double above = decimal();
            if (next("/") == 0) {
                throw new SyntaxError();
            }
            double below = decimal();
            if (above >= below) {
                throw new SyntaxError();
            }
            return value + above / below;
        }
        at = before;
        return value;
    }

    private double minutes() {
        double minutes = decimal();
        if (next("'") == 0 || minutes >= MINUTES) {
            throw new SyntaxError();
        }
        return minutes / MINUTES;
    }

    private double decimal() {
        space();
        int from = at;
        digits();
        if (at < text.length() && (text.charAt(at) == '.' || text.charAt(at) == ',')) {
            at++;
            digits();
        }
        String digits = text.substring(from, at).replace(',', '.');
        if (digits.isEmpty() || digits.equals(".") || digits.endsWith(".")) {
            throw new SyntaxError();
        }
        space();
        return Double.parseDouble(digits);
    }

    private void digits() {
        while (at < text.length() && text.charAt(at) >= '0' && text.charAt(at) <= '9') {
            at++;
        }
    }

    private boolean isDigitNext() {
        return at < text.length() && text.charAt(at) >= '0' && text.charAt(at) <= '9';
    }

    private boolean spaceBefore(int place) {
        return place > 0 && text.charAt(place - 1) == ' ';
    }

    private void space() {
        while (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
    }

    /** Takes the next sign if it is one of these; 0 where it is not. */
    private char next(String signs) {
        space();
        if (at < text.length() && signs.indexOf(text.charAt(at)) >= 0) {
            char sign = text.charAt(at++);
            space();
            return sign;
        }
        return 0;
    }
}
