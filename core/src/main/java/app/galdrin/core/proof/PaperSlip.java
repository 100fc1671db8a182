package app.galdrin.core.proof;

import app.galdrin.core.Keyed;

/** Slips as they are described to an apprentice; the paper they are made on is {@link Paper}, which knows nothing of how they are found. */
enum PaperSlip implements Keyed {
    METHOD_SIGN("methodSign"),
    FRONT_REAR_SWAPPED("frontRearSwapped"),
    LEFT_RIGHT_SWAPPED("leftRightSwapped"),
    ONE_WHEEL_FOR_TOTAL("oneWheelForTotal"),
    OTHER_WHEEL_FOR_TOTAL("oneWheelForTotal"),
    HALF_FOR_TOTAL("oneWheelForTotal"),
    TWICE_ONE_WHEEL("twiceOneWheel"),
    TWICE_THE_OTHER_WHEEL("twiceOneWheel"),
    MM_FOR_DEGREES("mmForDegrees"),
    INCHES_UNCONVERTED("inchesUnconverted"),
    GAPS_UNCONVERTED("gapsUnconverted"),
    MINUTES_AS_DECIMALS("minutesAsDecimals"),
    FIRST_REPEAT_ONLY("firstRepeatOnly"),
    SKEW_LEFT_OUT("skewLeftOut"),
    SKEW_ADDED("skewAdded"),
    WRONG_BASELINE("wrongBaseline"),
    DOUBLING_FORGOTTEN("doublingForgotten"),
    DOUBLED_TWICE("doublingForgotten"),
    FLOOR_IGNORED("floorIgnored"),
    FLOOR_WRONG_WAY("floorWrongWay"),
    FRAME_WRONG_WAY("frameWrongWay"),
    CAMBER_SIGNS_LOST("camberSignsLost"),
    NINETY_AS_CAMBER("ninetyAsCamber"),
    DISTANCE_FROM_NINETY("ninetyAsCamber"),
    FACTOR_FORGOTTEN("factorForgotten"),
    ONE_AND_A_HALF_USED("oneAndAHalfUsed");

    private final String key;

    PaperSlip(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
