package app.galdrin.core.procedure.slip;

import app.galdrin.core.Keyed;

/** Exercise against a slip. */
public enum Drill implements Keyed {
    SIGN_BY_METHOD("signByMethod"),
    SIDES_AND_ENDS("sidesAndEnds"),
    TOTALS("totals"),
    UNITS("units"),
    DEGREES_MINUTES("degreesMinutes"),
    READING_A_RULE("readingARule"),
    BASELINE("baseline"),
    SKEW("skew"),
    SLOPES("slopes"),
    LEAN("lean"),
    SWEEP("sweep"),
    REPEATS("repeats"),
    STEERING("steering"),
    WHICH_WAY("whichWay"),
    LIMITS("limits");

    private final String key;

    Drill(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
