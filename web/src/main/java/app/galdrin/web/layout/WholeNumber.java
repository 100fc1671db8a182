package app.galdrin.web.layout;

import java.util.OptionalInt;

/** A whole number as people type it into a form. */
public final class WholeNumber {

    private WholeNumber() {}

    /** The number, if it is one from {@code least} to {@code most}, both 0 or more and below a thousand million. */
    public static OptionalInt read(String typed, int least, int most) {
        String text = typed.strip();
        if (!text.matches("[0-9]{1,9}")) {
            return OptionalInt.empty();
        }
        int number = Integer.parseInt(text);
        return number >= least && number <= most ? OptionalInt.of(number) : OptionalInt.empty();
    }
}
