package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;

/** Kind of fault of a written specification sheet; each has a sentence of its own. */
public enum SheetFaultCode implements Keyed {
    NOT_JSON("notJson"),
    NOT_CSV("notCsv"),
    /** Document that is no sheet of a known version. */
    NOT_A_SHEET("notASheet"),
    TOO_LONG("tooLong"),
    TOO_MANY("tooMany"),
    UNKNOWN_ROW("unknownRow"),
    UNKNOWN_CELL("unknownCell"),
    NO_TEXT("noText"),
    MISSING("missing"),
    UNKNOWN("unknown"),
    /** No quantity: {@code more} has the parser's reason. */
    MALFORMED("malformed"),
    /** {@code more} has the least, the most and the unit. */
    OUT_OF_RANGE("outOfRange"),
    TWICE("twice"),
    /** The figure is none of an axle, or none without one. */
    WRONG_AXLE("wrongAxle"),
    /** A difference of sides is written beside the figure it is of. */
    DIFFERENCE_OF("differenceOf"),
    NO_DIFFERENCE("noDifference"),
    WRONG_WAY_ROUND("wrongWayRound"),
    OUTSIDE_LIMITS("outsideLimits"),
    /** One of a row's figures is a length and another an angle. */
    MIXED_UNITS("mixedUnits"),
    /** A tolerance and limits beside it. */
    TOLERANCE_AND_LIMITS("toleranceAndLimits"),
    /** A value to set with nothing to judge it by. */
    NO_LIMITS("noLimits"),
    NO_PREFERRED("noPreferred"),
    NEEDS_LENGTH("needsLength"),
    NEEDS_OF("needsOf"),
    BELONGS_TO_TOTAL("belongsToTotal"),
    BELONGS_TO_EACH("belongsToEach"),
    /** Length or share beside limits that are not in millimetres. */
    NOT_IN_MILLIMETRES("notInMillimetres"),
    /** The figure is never given in millimetres. */
    NEVER_A_LENGTH("neverALength"),
    /** An angle of the inner wheel beside a figure that is given straight ahead. */
    NO_INNER_ANGLE("noInnerAngle"),
    /** Adjustment of a figure that only screens. */
    ONLY_A_SCREEN("onlyAScreen"),
    /** Rim and tyre don't fit. */
    RIM_IN_TYRE("rimInTyre"),
    NO_SUCH_PART("noSuchPart"),
    NO_SUCH_FASTENER("noSuchFastener"),
    /** Thread to spare of a part that is not screwed together. */
    NO_THREAD("noThread"),
    /** A rod's effect follows from thread and steering arm. */
    COMPUTED("computed"),
    NO_EFFECT("noEffect"),
    /** Uncertainty of an effect of which only the sign is written. */
    DOUBT_OF_A_WAY("doubtOfAWay"),
    IMPLAUSIBLE_TORQUE("implausibleTorque");

    private final String key;

    SheetFaultCode(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
