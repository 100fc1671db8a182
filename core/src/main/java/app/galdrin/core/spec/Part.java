package app.galdrin.core.spec;

import app.galdrin.core.Keyed;
import java.util.List;

/** The parts that wheels are aligned with, the unit each is moved in, and the words for both ways. */
public enum Part implements Keyed {
    ROD("rod", AdjusterUnit.TURN, Way.LENGTHEN, Way.SHORTEN),
    SLEEVE("sleeve", AdjusterUnit.TURN, Way.LENGTHEN, Way.SHORTEN),
    CAM("cam", AdjusterUnit.CAM_MARK, Way.OUTWARD, Way.INWARD),
    STRUT_BOLTS("strutBolts", AdjusterUnit.DEGREE, Way.TOP_OUT, Way.TOP_IN),
    TOP_SLOT("topSlot", AdjusterUnit.MILLIMETRE, Way.OUTWARD, Way.INWARD),
    INSERT("insert", AdjusterUnit.DEGREE, Way.TOP_OUT, Way.TOP_IN),
    SHIM("shim", AdjusterUnit.MILLIMETRE, Way.ADD, Way.REMOVE),
    RACK("rack", AdjusterUnit.MILLIMETRE, Way.TO_THE_LEFT, Way.TO_THE_RIGHT),
    COUPLING("coupling", AdjusterUnit.SPLINE, Way.TO_THE_LEFT, Way.TO_THE_RIGHT);

    private final String key;
    private final AdjusterUnit unit;
    private final Way up;
    private final Way down;

    Part(String key, AdjusterUnit unit, Way up, Way down) {
        this.key = key;
        this.unit = unit;
        this.up = up;
        this.down = down;
    }

    @Override
    public String key() {
        return key;
    }

    public AdjusterUnit unit() {
        return unit;
    }

    /** The way that counts as positive, the other way, and leaving it. */
    public List<Way> ways() {
        return List.of(up, down, Way.LEAVE);
    }

    /** +1, −1 or 0 for the three ways. */
    public int sign(Way way) {
        return way == up ? 1 : way == down ? -1 : 0;
    }

    /** The way of a signed amount. */
    public Way way(int sign) {
        return sign > 0 ? up : sign < 0 ? down : Way.LEAVE;
    }
}
