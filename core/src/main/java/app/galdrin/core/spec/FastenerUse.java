package app.galdrin.core.spec;

import app.galdrin.core.Keyed;

/** Use of a fastener: what it holds. A task names a fastener by it on any vehicle. */
public enum FastenerUse implements Keyed {
    ROD_LOCK_NUT("rodLockNut"),
    ROD_END("rodEnd"),
    SLEEVE_CLAMP("sleeveClamp"),
    CAM_BOLT("camBolt"),
    TOP_MOUNT("topMount"),
    STRUT_BOLT("strutBolt"),
    SPRING_BOLT("springBolt"),
    BALL_JOINT("ballJoint"),
    WHEEL_NUT("wheelNut"),
    HUB_NUT("hubNut"),
    COUPLING("coupling"),
    STEERING_WHEEL("steeringWheel");

    private final String key;

    FastenerUse(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
