package app.galdrin.core.quantity;

/** A cursor over the text of one quantity. Only ASCII digits and letters count; spaces are those that keyboards make. */
final class Scanner {
    private static final String SPACES = " \t\u00a0\u202f";

    private final String text;
    private int at;

    Scanner(String text) {
        this.text = text;
    }

    boolean atEnd() {
        return at == text.length();
    }

    boolean at(char c) {
        return !atEnd() && text.charAt(at) == c;
    }

    boolean atDigit() {
        return !atEnd() && text.charAt(at) >= '0' && text.charAt(at) <= '9';
    }

    boolean atLetter() {
        if (atEnd()) {
            return false;
        }
        int lower = text.charAt(at) | 0x20;
        return lower >= 'a' && lower <= 'z' && text.charAt(at) < 0x80;
    }

    int position() {
        return at;
    }

    void back(int position) {
        at = position;
    }

    /** Takes one character if it is one of these. */
    boolean take(String oneOf) {
        if (!atEnd() && oneOf.indexOf(text.charAt(at)) >= 0) {
            at++;
            return true;
        }
        return false;
    }

    /** Skips spaces and says whether there was one. */
    boolean spaces() {
        int from = at;
        while (take(SPACES)) {}
        return at > from;
    }

    /** The digits from here on, empty if there is none. */
    Digits digits() {
        int from = at;
        while (atDigit()) {
            at++;
        }
        return new Digits(text, from, at);
    }

    /** The ASCII letters from here on, in lower case. */
    String word() {
        StringBuilder word = new StringBuilder();
        while (atLetter()) {
            word.append((char) (text.charAt(at++) | 0x20));
        }
        return word.toString();
    }
}
