package app.galdrin.core.measure;

/** Assumption that a method cannot check: a reason to warn before its figures are trusted. */
public enum Assumption {
    /** The rear wheel the string is drawn along points straight ahead, or its toe is known and added. */
    REAR_TOE_KNOWN("rearToeKnown"),
    /** The line is parallel to the vehicle, or its skew is known and taken off. */
    LINE_SKEW_KNOWN("lineSkewKnown"),
    /** The points compared lie at the same height and on the same rib or rim. */
    SAME_POINTS("samePoints"),
    /** The floor is level, or its slope is known and corrected for. */
    FLOOR_SLOPE_KNOWN("floorSlopeKnown"),
    /** A gauge that was zeroed on the floor keeps its direction: turned end for end it doubles the slope. */
    GAUGE_NOT_TURNED("gaugeNotTurned"),
    /** The wheel runs true, or its run-out has been taken out. */
    RUN_OUT_REMOVED("runOutRemoved"),
    /** The brake holds the wheels while they are steered, so that they do not roll. */
    WHEELS_HELD("wheelsHeld"),
    /** The KPI is known where fewer than three steer angles are read. */
    KPI_KNOWN("kpiKnown"),
    /** The vehicle is driven slowly and straight over a plate that was zeroed. */
    DRIVEN_STRAIGHT("drivenStraight"),
    /** The road wheels point as they do when the vehicle drives straight. */
    WHEELS_STRAIGHT("wheelsStraight"),
    /** The target stays parallel to the mirror. */
    TARGET_PARALLEL("targetParallel"),
    /** The axle is a beam with kingpins, which has a pad and a knuckle to lay a protractor on. */
    BEAM_AXLE("beamAxle");

    private final String key;

    Assumption(String key) {
        this.key = key;
    }

    /** The end of message keys and the word in documents. */
    public String key() {
        return key;
    }
}
