package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;

/** Fault of a text on its line; each has a sentence of its own on the pages. */
public enum TextFault implements Keyed {
    EMPTY("empty"),
    NOT_A_FIGURE("notAFigure"),
    ZERO_DENOMINATOR("zeroDenominator"),
    IMPROPER_MIXED("improperMixed"),
    THOUSANDS_COMMA("thousandsComma"),
    WRONG_UNIT("wrongUnit"),
    SIXTY_OR_MORE("sixtyOrMore"),
    LEFT_OVER("leftOver"),
    TOO_LARGE("tooLarge"),
    LONG("long"),
    NEGATIVE("negative"),
    SIGN_AND_SENSE("signAndSense"),
    NO_SENSE("noSense"),
    TOO_SMALL("tooSmall"),
    TOO_GREAT("tooGreat"),
    NOT_A_CHOICE("notAChoice"),
    NOT_SEVENTEEN("notSeventeen"),
    NOT_IN_NUMBER("notInNumber");

    private final String key;

    TextFault(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
