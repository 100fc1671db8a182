package app.galdrin.core.measure;

/** Quantities that a measuring method can tell; a method is blind to those it does not list. */
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
