package app.galdrin.core.marking;

/** The mistakes the marker knows by name. */
public enum Slip {
    METHOD_SIGN("methodSign"),
    FRONT_REAR_SWAPPED("frontRearSwapped"),
    LEFT_RIGHT_SWAPPED("leftRightSwapped"),
    ONE_WHEEL_FOR_TOTAL("oneWheelForTotal"),
    MM_FOR_DEGREES("mmForDegrees"),
    INCHES_UNCONVERTED("inchesUnconverted");

    private final String key;

    Slip(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }
}
