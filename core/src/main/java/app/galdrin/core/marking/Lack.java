package app.galdrin.core.marking;

import app.galdrin.core.Keyed;

/** Kind of missing entry; each has a sentence of its own. */
public enum Lack implements Keyed {
    READINGS("readings"),
    REFERENCE("reference"),
    AS_LEFT_REFERENCE("asLeftReference"),
    /** The vehicle as left is too close to tell and has to be read once more. */
    AS_LEFT_AGAIN("asLeftAgain"),
    /** Too few people have read it for it to cost marks: an instructor has to. */
    YOUR_READING("yourReading"),
    REPEATS("repeats"),
    WORKING("working"),
    TARGET("target"),
    VERDICT("verdict"),
    ADJUSTABLE("adjustable"),
    PLAN("plan"),
    MOVES("moves"),
    AS_LEFT_LIMITS("asLeftLimits"),
    TIME("time");

    private final String key;

    Lack(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns whether an instructor's reading of the vehicle is missing. */
    public boolean isInstructors() {
        return this == REFERENCE || this == AS_LEFT_REFERENCE || asksForReading();
    }

    /** Returns whether an instructor's reading of the vehicle settles it, and nothing is decided until then. */
    public boolean asksForReading() {
        return this == AS_LEFT_AGAIN || this == YOUR_READING;
    }
}
