package app.galdrin.core.task;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;

/** The unit in which an apprentice answers. Millimetres are the length difference over the method's baseline. */
public enum AnswerUnit {
    DEGREES("deg", Quantity.ANGLE, Unit.DEG, 0.01),
    DEGREES_MINUTES("degMin", Quantity.ANGLE, Unit.DEG, 1 / 60.0),
    MILLIMETRES("mm", Quantity.LENGTH, Unit.MM, 0.1);

    private final String key;
    private final Quantity quantity;
    private final Unit defaultUnit;
    private final double step;

    AnswerUnit(String key, Quantity quantity, Unit defaultUnit, double step) {
        this.key = key;
        this.quantity = quantity;
        this.defaultUnit = defaultUnit;
        this.step = step;
    }

    public String key() {
        return key;
    }

    public Quantity quantity() {
        return quantity;
    }

    /** What a figure without a unit counts as. */
    public Unit defaultUnit() {
        return defaultUnit;
    }

    /** The place to which an answer is expected: degrees or mm. */
    public double step() {
        return step;
    }

    /** A toe in rad as the number an answer in this unit has (deg or mm). */
    public double ofToe(double toe, Asked asked, double baseline) {
        if (quantity == Quantity.ANGLE) {
            return Math.toDegrees(toe);
        }
        return asked == Asked.TOTAL ? 2 * baseline * Math.sin(toe / 2) : baseline * Math.sin(toe);
    }

    /**
     * The toe in rad that an answer (deg or mm) stands for. A length longer than the baseline reaches is no toe: it comes
     * back as the nearest that is.
     */
    public double toToe(double answer, Asked asked, double baseline) {
        if (quantity == Quantity.ANGLE) {
            return Math.toRadians(answer);
        }
        return asked == Asked.TOTAL ? 2 * arcSine(answer / (2 * baseline)) : arcSine(answer / baseline);
    }

    private static double arcSine(double x) {
        return Math.asin(Math.max(-1, Math.min(1, x)));
    }
}
