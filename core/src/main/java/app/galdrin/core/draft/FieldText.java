package app.galdrin.core.draft;

import app.galdrin.core.Keyed;

/** Reads the texts of fields. */
public final class FieldText {

    /** Text that a ticked field sends; any other text is no tick. */
    static final String TICKED = "on";

    private FieldText() {}

    /** Returns whether a field is ticked. */
    public static boolean isTicked(String typed) {
        return typed.equals(TICKED);
    }

    /**
     * Reads a whole number.
     *
     * @param least smallest number allowed, 0 or more
     * @param most largest number allowed
     */
    public static int whole(String typed, int least, int most) throws FieldRefusal {
        if (typed.matches("[0-9]{1,9}")) {
            int number = Integer.parseInt(typed);
            if (number >= least && number <= most) {
                return number;
            }
        }
        throw new FieldRefusal("field.whole", typed, least, most);
    }

    /** Reads one of these words. */
    public static <T extends Keyed> T word(T[] words, String typed) throws FieldRefusal {
        return Keyed.find(words, typed).orElseThrow(() -> new FieldRefusal("field.noChoice", typed));
    }
}
