package app.galdrin.core.answer;

import app.galdrin.core.Keyed;
import app.galdrin.core.geometry.Side;
import java.util.List;

/** Sense of a size in the trade's words; the side of the vehicle makes it a sign. */
public enum Sense implements Keyed {
    TOP_IN("topIn", -1, false),
    TOP_OUT("topOut", 1, false),
    TURNED_IN("turnedIn", -1, true),
    TURNED_OUT("turnedOut", 1, true),
    FALLS_LEFT("fallsLeft", -1, false),
    FALLS_RIGHT("fallsRight", 1, false),
    LEANS_BACK("leansBack", 1, false),
    LEANS_FORWARD("leansForward", -1, false),
    LEANS_IN("leansIn", 1, false),
    LEANS_OUT("leansOut", -1, false),
    FALLS_TO_REAR("fallsToRear", 1, false),
    FALLS_TO_FRONT("fallsToFront", -1, false),
    TOE_IN("toeIn", 1, false),
    TOE_OUT("toeOut", -1, false),
    PUSHED_OUT("pushedOut", 1, false),
    PUSHED_IN("pushedIn", -1, false),
    FRONT_MORE("frontMore", 1, false),
    REAR_MORE("rearMore", -1, false),
    TOP_MORE("topMore", 1, false),
    BOTTOM_MORE("bottomMore", -1, false);

    private final String key;
    private final int sign;
    private final boolean bySide;

    Sense(String key, int sign, boolean bySide) {
        this.key = key;
        this.sign = sign;
        this.bySide = bySide;
    }

    @Override
    public String key() {
        return key;
    }

    /**
     * Returns which of these a value with a sign (mm or deg) is; the first of them for 0.
     *
     * @param value mm or deg, with its sign
     */
    public static Sense of(double value, List<Sense> senses, Side side) {
        return senses.stream().filter(s -> s.sign(side) * value > 0).findFirst().orElse(senses.get(0));
    }

    /** The sign in the core's frame: a wheel turned out is turned to the left on the left side and to the right on the right. */
    public int sign(Side side) {
        return bySide ? sign * side.sign() : sign;
    }

    /**
     * Returns the sign of a reading in the core's frame on an instrument that is level but shows a top too far out, held with the same side towards the wheel
     * on each side of the vehicle; 1 for what has no way in space.
     */
    public int signOfOffset(Side side) {
        return switch (this) {
            case FALLS_LEFT, FALLS_RIGHT -> -side.sign();
            case LEANS_BACK, LEANS_FORWARD, FALLS_TO_REAR, FALLS_TO_FRONT, TURNED_IN, TURNED_OUT -> side.sign();
            case LEANS_IN, LEANS_OUT -> -1;
            default -> 1;
        };
    }
}
