package app.galdrin.core.marking.written;

import tools.jackson.core.JsonGenerator;

/**
 * Writes figures to nine places: finer than any instrument by far, and coarse enough that the last bits, which two processors may work
 * differently, are not told. They are half of what a mark sheet is made of, so that each is put together from a whole number.
 */
final class Decimals {

    private static final int PLACES = 9;
    private static final double WHOLE = 1e9;

    /** So large no figure is; what is, or is no number, is written as it comes. */
    private static final double LARGEST = 1e9;

    private static final int LONGEST = 24;

    private final JsonGenerator json;
    private final char[] text = new char[LONGEST];

    Decimals(JsonGenerator json) {
        this.json = json;
    }

    void write(double number) {
        if (!(Math.abs(number) < LARGEST)) {
            json.writeNumber(number);
            return;
        }
        long left = Math.round(Math.abs(number) * WHOLE);
        boolean negative = number < 0 && left > 0;
        int from = LONGEST;
        int to = LONGEST;
        for (int place = 0; left > 0 || place <= PLACES; place++) {
            if (place == PLACES) {
                text[--from] = '.';
            }
            char digit = (char) ('0' + left % 10);
            left /= 10;
            text[--from] = digit;
            boolean needless = digit == '0' && from == to - 1 && place < PLACES - 1;
            to -= needless ? 1 : 0;
        }
        if (negative) {
            text[--from] = '-';
        }
        json.writeNumber(text, from, to - from);
    }
}
