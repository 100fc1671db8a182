package app.galdrin.core.spec;

import java.util.regex.Pattern;

/**
 * Vehicle identification numbers: seventeen characters, digits and letters without I, O and Q, with a check digit in the ninth
 * place where the market mandates one [CFR565].
 *
 * <p>Check digit = Σ weight · value mod 11, X for 10; letters count A–H 1–8, J–N 1–5, P 7, R 9, S–Z 2–9, and the weights are
 * 8 7 6 5 4 3 2 10 0 9 8 7 6 5 4 3 2 from the first place on.
 */
public final class VehicleIdentification {

    private static final Pattern WELL_FORMED = Pattern.compile("[0-9A-HJ-NPR-Za-hj-npr-z]{17}");
    private static final int[] WEIGHTS = {8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2};

    /** Values of A to Z; the letters that can't occur have 0. */
    private static final int[] LETTERS = {1, 2, 3, 4, 5, 6, 7, 8, 0, 1, 2, 3, 4, 5, 0, 7, 0, 9, 2, 3, 4, 5, 6, 7, 8, 9};

    private static final int CHECK_PLACE = 8;

    private VehicleIdentification() {}

    /** Returns whether a text is a number at all; nothing is trimmed, either case will do. */
    public static boolean wellFormed(String text) {
        return WELL_FORMED.matcher(text).matches();
    }

    /**
     * The check digit that belongs to a number: 0 to 9 or X.
     *
     * @param number well formed
     */
    public static char checkDigit(String number) {
        int sum = 0;
        for (int i = 0; i < WEIGHTS.length; i++) {
            sum += WEIGHTS[i] * value(number.charAt(i));
        }
        int rest = sum % 11;
        return rest == 10 ? 'X' : (char) ('0' + rest);
    }

    /** Returns whether the ninth character is the check digit; where the market does not mandate it, a mismatch means nothing. */
    public static boolean checkDigitMatches(String number) {
        return Character.toUpperCase(number.charAt(CHECK_PLACE)) == checkDigit(number);
    }

    private static int value(char c) {
        return c <= '9' ? c - '0' : LETTERS[Character.toUpperCase(c) - 'A'];
    }
}
