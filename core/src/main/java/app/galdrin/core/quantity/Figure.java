package app.galdrin.core.quantity;

import java.util.Optional;
import java.util.stream.IntStream;

/**
 * One figure without its unit: digits, a decimal figure, a fraction, or digits and a fraction below 1.
 *
 * @param value its value, 0 or more; infinite where a double does not reach
 * @param step one unit of its last place
 * @param plain digits and nothing else
 * @param fault why it is no figure; the other parts mean nothing then
 */
record Figure(double value, double step, boolean plain, Optional<TextFault> fault) {

    /** Digits kept of a long numerator or denominator: more than a double holds. */
    private static final int KEPT = 30;

    /** Number of digits of which every whole number, and the power of ten of as many places, is exact in a double. */
    private static final int EXACT_DIGITS = 15;

    private static Figure fault(TextFault reason) {
        return new Figure(0, 1, false, Optional.of(reason));
    }

    private static Figure of(double value, double step, boolean plain) {
        return new Figure(value, step, plain, Optional.empty());
    }

    static Figure scan(Scanner scan) {
        Digits whole = scan.digits();
        boolean comma = scan.at(',');
        if (scan.take(".,")) {
            return decimal(whole, scan.digits(), comma);
        }
        if (whole.isEmpty()) {
            return fault(TextFault.NOT_A_FIGURE);
        }
        int afterWhole = scan.position();
        boolean spaced = scan.spaces();
        if (scan.take("/")) {
            return fraction(Optional.empty(), whole, scan);
        }
        boolean hyphen = !spaced && scan.take("-");
        if (spaced || hyphen) {
            Digits numerator = scan.digits();
            if (!numerator.isEmpty()) {
                scan.spaces();
                if (scan.take("/")) {
                    return fraction(Optional.of(whole), numerator, scan);
                }
                return fault(TextFault.LEFT_OVER);
            }
        }
        if (hyphen) {
            return fault(TextFault.LEFT_OVER);
        }
        scan.back(afterWhole);
        return of(read(whole), 1, true);
    }

    private static Figure decimal(Digits whole, Digits places, boolean comma) {
        if (places.isEmpty()) {
            return fault(TextFault.NOT_A_FIGURE);
        }
        boolean couldBeThousands =
                comma && places.length() == 3 && !whole.isEmpty() && whole.length() <= 3 && whole.first() != '0';
        if (couldBeThousands) {
            return fault(TextFault.THOUSANDS_COMMA);
        }
        return of(read(whole, places), step(places.length()), false);
    }

    /** One unit of the last of so many places. */
    private static double step(int places) {
        return places < STEPS.length ? STEPS[places] : Math.pow(10, -places);
    }

    private static final double[] STEPS = IntStream.rangeClosed(0, EXACT_DIGITS)
            .mapToDouble(places -> Math.pow(10, -places))
            .toArray();

    private static double read(Digits whole) {
        return whole.length() > EXACT_DIGITS ? Double.parseDouble(whole.toString()) : whole.after(0);
    }

    /** The nearest double. What people write is a quotient of two exact numbers, digits over a power of ten, and so is the quotient of two of these. */
    private static double read(Digits whole, Digits places) {
        if (whole.length() + places.length() > EXACT_DIGITS) {
            return Double.parseDouble(whole + "." + places);
        }
        long tens = 1;
        for (int i = 0; i < places.length(); i++) {
            tens *= 10;
        }
        return (double) places.after(whole.after(0)) / tens;
    }

    /** Scans the denominator after the stroke. With a whole figure before it the fraction must be below 1. */
    private static Figure fraction(Optional<Digits> whole, Digits numerator, Scanner scan) {
        scan.spaces();
        Digits denominator = scan.digits();
        if (denominator.isEmpty()) {
            return fault(TextFault.NOT_A_FIGURE);
        }
        String n = numerator.withoutLeadingZeros().toString();
        String d = denominator.withoutLeadingZeros().toString();
        if (d.isEmpty()) {
            return fault(TextFault.ZERO_DENOMINATOR);
        }
        if (whole.isPresent() && !isLess(n, d)) {
            return fault(TextFault.IMPROPER_MIXED);
        }
        double wholes = whole.map(Figure::read).orElse(0.0);
        return of(wholes + ratio(n, d), ratio("1", d), false);
    }

    private static boolean isLess(String a, String b) {
        return a.length() != b.length() ? a.length() < b.length() : a.compareTo(b) < 0;
    }

    /** n / d for digits of any length: thousands of digits must neither overflow to NaN nor cost a long division. */
    private static double ratio(String n, String d) {
        if (n.isEmpty()) {
            return 0;
        }
        int cutN = Math.max(0, n.length() - KEPT);
        int cutD = Math.max(0, d.length() - KEPT);
        double quotient = Double.parseDouble(n.substring(0, n.length() - cutN))
                / Double.parseDouble(d.substring(0, d.length() - cutD));
        return quotient * Math.pow(10, cutN - cutD);
    }
}
