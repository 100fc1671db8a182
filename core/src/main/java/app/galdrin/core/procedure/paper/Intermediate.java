package app.galdrin.core.procedure.paper;

import app.galdrin.core.Keyed;
import app.galdrin.core.record.FieldUnit;

/** A figure on the way to a worked one, which a person writes down before they go on. Its key is the name a working's step gives it. */
public enum Intermediate implements Keyed {
    /** The front reading less the rear one, or the other way round, so that toe-in is plus. */
    LENGTH_DIFFERENCE("lengthDifference", FieldUnit.LENGTH, -200, 200, 0.1),
    /** The length the two readings are apart along the wheel, where it follows from the tyre. */
    BASELINE("baseline", FieldUnit.LENGTH, 50, 2000, 1),
    SKEW_LEFT("skew.left", FieldUnit.ANGLE, -30, 30, 0.01),
    SKEW_RIGHT("skew.right", FieldUnit.ANGLE, -30, 30, 0.01),
    /** Factor of the difference of two cambers. */
    FACTOR("factor", FieldUnit.NUMBER, 0, 20, 0.01),
    /** Lean from plumb by a gauge that shows 90 at plumb. */
    AGAINST_PLUMB("againstPlumb", FieldUnit.ANGLE, -30, 30, 0.01),
    /** Camber before the floor is taken off. */
    CAMBER("camber", FieldUnit.ANGLE, -30, 30, 0.01),
    TOTAL("totalToe", FieldUnit.ANGLE, -30, 30, 0.01),
    /** The left toe less the right one. */
    DIFFERENCE("difference", FieldUnit.ANGLE, -30, 30, 0.01);

    private final String key;
    private final FieldUnit unit;
    private final double least;
    private final double most;
    private final double place;

    Intermediate(String key, FieldUnit unit, double least, double most, double place) {
        this.key = key;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.place = place;
    }

    @Override
    public String key() {
        return key;
    }

    public FieldUnit unit() {
        return unit;
    }

    /** Smallest that can be real: mm, deg or a number. */
    public double least() {
        return least;
    }

    /** Largest that can be real: mm, deg or a number. */
    public double most() {
        return most;
    }

    /** The place it is written to: mm, deg or a number. */
    public double place() {
        return place;
    }
}
