package app.galdrin.core.task;

import app.galdrin.core.Keyed;

/** Kind of fault of a task; each has a sentence of its own. */
public enum TaskFaultCode implements Keyed {
    NOT_JSON("notJson"),
    TOO_LONG("tooLong"),
    MISSING("missing"),
    MALFORMED("malformed"),
    UNKNOWN("unknown"),
    UNKNOWN_FIELD("unknownField"),
    OUT_OF_RANGE("outOfRange"),
    TOO_MANY("tooMany"),
    TWICE("twice"),
    NOT_SEEN("notSeen"),
    /** The vehicle has no axle that the procedure can be laid on. */
    DOES_NOT_FIT("doesNotFit"),
    ONE_WHEEL_SQUARED("oneWheelSquared"),
    NOT_KNOWN("notKnown"),
    NOT_MEASURED("notMeasured"),
    NOT_TOLD_TWICE("notToldTwice"),
    GIVEN_NOT_WORKED("givenNotWorked"),
    NO_LIMITS("noLimits"),
    NEVER_INSIDE("neverInside"),
    /** Limits that hold at another ride height or load than that at which the figure is measured. */
    OTHER_STANCE("otherStance"),
    NOTHING_ADJUSTABLE("nothingAdjustable"),
    AFTER_HAND_IN("afterHandIn"),
    NO_HAND_IN("noHandIn"),
    BEFORE_MEASURED("beforeMeasured"),
    NO_MARKS("noMarks"),
    NO_ASPECT("noAspect"),
    /** A figure of a reading without full marks up to anywhere. */
    NO_BAND("noBand"),
    /** No fastener of the vehicle holds what is to be tightened. */
    NO_FASTENER("noFastener"),
    NO_STEPS("noSteps");

    private final String key;

    TaskFaultCode(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
