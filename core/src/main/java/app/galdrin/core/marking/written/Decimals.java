package app.galdrin.core.marking.written;

import tools.jackson.core.JsonGenerator;

/**
 * Writes figures to nine places: finer than any instrument by far, and coarse enough that the last bits, which two processors may work
 * differently, are not told. They are half of what a mark sheet is made of, so that each is put together from a whole number.
 */
final class Decimals {

    private static final int WHOLE = 1_000_000_000;
    private static final int TENTH = WHOLE / 10;

    /** The size above which a figure, or NaN, is written as it is. */
    private static final double LARGEST = 1e9;

    /** A sign, nine digits, the decimal sign and nine more. */
    private static final int LONGEST = 20;

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
        long parts = Math.round(Math.abs(number) * WHOLE);
        int length = 0;
        if (number < 0 && parts > 0) {
            text[length++] = '-';
        }
        length = whole((int) (parts / WHOLE), length);
        text[length++] = '.';
        json.writeNumber(text, 0, fraction((int) (parts % WHOLE), length));
    }

    private int whole(int number, int from) {
        int digits = 1;
        for (int left = number / 10; left > 0; left /= 10) {
            digits++;
        }
        int left = number;
        for (int i = from + digits - 1; i >= from; i--) {
            text[i] = (char) ('0' + left % 10);
            left /= 10;
        }
        return from + digits;
    }

    /** Returns the length of the fraction: up to the last place that is not zero, at least one. */
    private int fraction(int parts, int from) {
        int to = from;
        int left = parts;
        do {
            text[to++] = (char) ('0' + left / TENTH);
            left = left % TENTH * 10;
        } while (left > 0);
        return to;
    }
}
