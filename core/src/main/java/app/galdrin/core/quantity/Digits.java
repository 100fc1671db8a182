package app.galdrin.core.quantity;

/**
 * A run of digits within a text, which is not copied for it.
 *
 * @param from where it begins (inclusive)
 * @param to where it ends (exclusive)
 */
record Digits(String text, int from, int to) {

    boolean isEmpty() {
        return from == to;
    }

    int length() {
        return to - from;
    }

    char first() {
        return text.charAt(from);
    }

    /** These digits behind those of a number; of at most as many as a long holds. */
    long after(long number) {
        long all = number;
        for (int i = from; i < to; i++) {
            all = 10 * all + text.charAt(i) - '0';
        }
        return all;
    }

    Digits withoutLeadingZeros() {
        int i = from;
        while (i < to && text.charAt(i) == '0') {
            i++;
        }
        return new Digits(text, i, to);
    }

    @Override
    public String toString() {
        return text.substring(from, to);
    }
}
