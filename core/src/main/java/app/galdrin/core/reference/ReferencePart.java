package app.galdrin.core.reference;

import app.galdrin.core.Keyed;

/**
 * Part of a reference value: one reading, or what was moved since the state before or after was known.
 *
 * @param source id of the sheet with the reading; of the state that the move comes from
 * @param value rad or mm
 * @param doubt standard uncertainty, rad or mm, 0 or more
 * @param share share of its full weight, above 0 and up to 1; less than 1 where it lies far off the others
 */
public record ReferencePart(Kind kind, String source, double value, double doubt, double share) {

    /** Kinds of part. */
    public enum Kind implements Keyed {
        INSTRUCTOR("instructor"),
        APPRENTICE("apprentice"),
        MOVE("move");

        private final String key;

        Kind(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }
}
