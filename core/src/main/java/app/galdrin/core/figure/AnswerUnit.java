package app.galdrin.core.figure;

import app.galdrin.core.Keyed;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;

/**
 * The unit in which a worked figure is answered. Where an angle is answered in millimetres it is the length difference over a
 * baseline b: of one wheel b sin t, of the sum of two 2 b sin(T/2).
 */
public enum AnswerUnit implements Keyed {
    DEGREES("deg", Quantity.ANGLE, Unit.DEG, 0.01),
    DEGREES_MINUTES("degMin", Quantity.ANGLE, Unit.DEG, 1 / 60.0),
    MILLIMETRES("mm", Quantity.LENGTH, Unit.MM, 0.1),
    HALF_MILLIMETRES("mmHalf", Quantity.LENGTH, Unit.MM, 0.5);

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

    @Override
    public String key() {
        return key;
    }

    /** Returns whether it is a length or an angle. */
    public Quantity quantity() {
        return quantity;
    }

    /** Returns whether a figure can be answered in it: a length is never an angle. */
    public boolean fits(FigureId figure) {
        return quantity == Quantity.LENGTH || figure.measurand().quantity() == Quantity.ANGLE;
    }

    /** Returns this unit, or the one that fits a figure which is not answered in it. */
    public AnswerUnit orFitting(FigureId figure) {
        return fits(figure) ? this : MILLIMETRES;
    }

    /** Returns what a figure without a unit counts as. */
    public Unit defaultUnit() {
        return defaultUnit;
    }

    /** The place to which an answer is expected: degrees or mm. */
    public double step() {
        return step;
    }

    /**
     * A figure (rad or mm) as the number an answer in this unit has (deg or mm).
     *
     * @param figure rad or mm
     * @param baseline mm, positive; used for an angle answered in millimetres
     */
    public double ofFigure(double figure, FigureId id, double baseline) {
        if (id.measurand().quantity() == Quantity.LENGTH) {
            return figure;
        }
        if (quantity == Quantity.ANGLE) {
            return quantity.toDocument(figure);
        }
        return isSum(id) ? 2 * baseline * Math.sin(figure / 2) : baseline * Math.sin(figure);
    }

    /**
     * The figure (rad or mm) that an answer (deg or mm) stands for. A length longer than the baseline reaches is no angle: it
     * comes back as the nearest that is.
     *
     * @param answer in this unit
     * @param baseline mm, positive; used for an angle answered in millimetres
     */
    public double toFigure(double answer, FigureId id, double baseline) {
        if (id.measurand().quantity() == Quantity.LENGTH) {
            return answer;
        }
        if (quantity == Quantity.ANGLE) {
            return quantity.toCore(answer);
        }
        return isSum(id) ? 2 * arcSine(answer / (2 * baseline)) : arcSine(answer / baseline);
    }

    private static boolean isSum(FigureId id) {
        return id.measurand().form() == Measurand.Form.SUM;
    }

    private static double arcSine(double x) {
        return Math.asin(Math.max(-1, Math.min(1, x)));
    }
}
