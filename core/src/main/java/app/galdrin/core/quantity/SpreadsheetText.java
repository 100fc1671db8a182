package app.galdrin.core.quantity;

import java.util.regex.Pattern;

/**
 * Text in a cell of a table that people open with a spreadsheet. A program that takes a cell for a formula works it, with whatever is in it; what is
 * no plain figure and begins like a formula gets a space before it. Reading a cell takes spaces off, so that it comes back as it was.
 */
public final class SpreadsheetText {

    /** First letters of formulas, also the wide letters that some programs take for the same. */
    private static final Pattern FORMULA =
            Pattern.compile("[=+\\-@\\t\\r\\uFF1D\\uFF0B\\uFF0D\\uFF20].*", Pattern.DOTALL);

    /** A figure as people write it: a sign, digits, a decimal sign, a fraction, degrees and minutes. */
    private static final Pattern FIGURE =
            Pattern.compile("[+-]?[0-9.,]+([ /°'\"\\u2032\\u2033-][0-9/.,°'\"\\u2032\\u2033 ]*)?( ?[a-z]{1,3})?");

    private SpreadsheetText() {}

    /** A cell that no program works. */
    public static String harmless(String text) {
        return FORMULA.matcher(text).matches() && !FIGURE.matcher(text).matches() ? " " + text : text;
    }
}
