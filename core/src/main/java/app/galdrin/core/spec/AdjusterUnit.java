package app.galdrin.core.spec;

import app.galdrin.core.Keyed;
import app.galdrin.core.quantity.Unit;

/** Unit of the amount of a move. */
public enum AdjusterUnit implements Keyed {
    TURN("turn", Unit.TURNS),
    FLAT("flat", Unit.FLATS),
    CAM_MARK("camMark", Unit.CAM_MARKS),
    MILLIMETRE("millimetre", Unit.MM),
    DEGREE("degree", Unit.DEG),
    SPLINE("spline", Unit.SPLINES);

    private final String key;
    private final Unit unit;

    AdjusterUnit(String key, Unit unit) {
        this.key = key;
        this.unit = unit;
    }

    /** The unit an amount is written in where none is given. */
    public Unit unit() {
        return unit;
    }

    @Override
    public String key() {
        return key;
    }
}
