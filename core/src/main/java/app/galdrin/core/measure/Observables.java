package app.galdrin.core.measure;

/** What a measuring method can tell; whatever is not listed by a method it is blind to. */
public enum Observables {
    TOTAL_TOE("totalToe"),
    EACH_TOE("eachToe"),
    THRUST_ANGLE("thrustAngle"),
    TRACK_DIFFERENCE("trackDifference"),
    SIDESLIP("sideslip"),
    CAMBER("camber"),
    CASTER("caster"),
    KPI("kpi"),
    RUN_OUT("runOut"),
    SETBACK("setback"),
    TURN_OUT("turnOut"),
    RACK_POSITION("rackPosition"),
    BUMP_STEER("bumpSteer");

    private final String key;

    Observables(String key) {
        this.key = key;
    }

    /** The end of message keys and the word in documents. */
    public String key() {
        return key;
    }
}
