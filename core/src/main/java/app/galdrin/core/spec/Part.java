package app.galdrin.core.spec;

import app.galdrin.core.Keyed;
import java.util.List;

/** The parts that wheels are aligned with, the unit each is moved in, and the words for both ways. */
public enum Part implements Keyed {
    ROD("rod", AdjusterUnit.TURN, Direction.LENGTHEN, Direction.SHORTEN),
    SLEEVE("sleeve", AdjusterUnit.TURN, Direction.LENGTHEN, Direction.SHORTEN),
    CAM("cam", AdjusterUnit.CAM_MARK, Direction.OUTWARD, Direction.INWARD),
    STRUT_BOLTS("strutBolts", AdjusterUnit.DEGREE, Direction.TOP_OUT, Direction.TOP_IN),
    TOP_SLOT("topSlot", AdjusterUnit.MILLIMETRE, Direction.OUTWARD, Direction.INWARD),
    INSERT("insert", AdjusterUnit.DEGREE, Direction.TOP_OUT, Direction.TOP_IN),
    SHIM("shim", AdjusterUnit.MILLIMETRE, Direction.ADD, Direction.REMOVE),
    RACK("rack", AdjusterUnit.MILLIMETRE, Direction.TO_THE_LEFT, Direction.TO_THE_RIGHT),
    COUPLING("coupling", AdjusterUnit.SPLINE, Direction.TO_THE_LEFT, Direction.TO_THE_RIGHT);

    private final String key;
    private final AdjusterUnit unit;
    private final Direction up;
    private final Direction down;

    Part(String key, AdjusterUnit unit, Direction up, Direction down) {
        this.key = key;
        this.unit = unit;
        this.up = up;
        this.down = down;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns what its amount is counted in. */
    public AdjusterUnit unit() {
        return unit;
    }

    /** The way that counts as positive, the other way, and leaving it. */
    public List<Direction> ways() {
        return List.of(up, down, Direction.LEAVE);
    }

    /** +1, −1 or 0 for the three ways. */
    public int sign(Direction way) {
        return way == up ? 1 : way == down ? -1 : 0;
    }

    /** The way of a signed amount. */
    public Direction way(int sign) {
        return sign > 0 ? up : sign < 0 ? down : Direction.LEAVE;
    }
}
