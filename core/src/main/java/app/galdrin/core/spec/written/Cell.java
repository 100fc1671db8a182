package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;

/** Cell of a row of a sheet; the key is the name in JSON, the head of the column in CSV and the name on the page. */
public enum Cell implements Keyed {
    MAKE("make"),
    MODEL("model"),
    BODY("body"),
    REGISTRATION("registration"),
    /** The axle that drives. */
    DRIVEN("driven"),
    /** The side the driver sits on. */
    DRIVER("driver"),
    WHEELBASE("wheelbase"),
    FRONT_TRACK("frontTrack"),
    REAR_TRACK("rearTrack"),
    LINKAGE("linkage"),
    ROD_PITCH("rodPitch"),
    DOUBLE_THREAD("doubleThread"),
    ARM_LENGTH("armLength"),
    STEERING_RATIO("steeringRatio"),
    FRONT_SUSPENSION("frontSuspension"),
    REAR_SUSPENSION("rearSuspension"),
    /** The height on its springs and the load at which the limits hold. */
    RIDE_HEIGHT("rideHeight"),
    LOAD("load"),
    AXLE("axle"),
    RIM("rimDiameter"),
    TYRE_RADIUS("tyreRadius"),
    FIGURE("figure"),
    MIN("min"),
    PREFERRED("preferred"),
    MAX("max"),
    /** Tolerance either way of the preferred value, in place of both limits. */
    TOLERANCE("tolerance"),
    /** The length that limits in millimetres are over. */
    OVER("over"),
    /** Returns whether limits in millimetres are of the total or of each wheel. */
    OF("of"),
    /** Greatest departure of left less right from what is intended. */
    DIFFERENCE("difference"),
    /** Left less right as the maker wants it, signed. */
    INTENDED("intended"),
    ADJUSTABLE("adjustable"),
    /** The angle of the inner wheel at which turn-out is given. */
    INNER_ANGLE("innerAngle"),
    PART("part"),
    WHERE("where"),
    MOST("most"),
    SMALLEST("smallest"),
    REREAD("reread"),
    /** Turns by which it may become longer and still hold by enough thread. */
    SPARE("spare"),
    FASTENER("fastener"),
    /** Effect of one unit of a part, or only its sign. */
    AMOUNT("amount"),
    DOUBT("doubt"),
    NAME("name"),
    /** Key of what a fastener holds. */
    USE("use"),
    THREAD("thread"),
    LEAST("least"),
    ANGLE("angle"),
    SINGLE_USE("singleUse"),
    /** An unusual torque was looked up again and stands. */
    CHECKED("checked");

    private final String key;

    Cell(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
