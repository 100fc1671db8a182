package app.galdrin.core.marking;

import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;

/**
 * A figure as it was worked on paper, in the answer's unit.
 *
 * @param honest what the taught working gives from the same readings
 * @param right the same; of a total that was added up right from his own wheels, their sum
 * @param wrote what was written
 * @param place one unit of the last place it was written to, or asked for where that is coarser
 */
record Answered(Work.Item item, Measure measure, double honest, double right, double wrote, double place) {

    /** A figure that is off by no more than this many places is a matter of rounding and never a slip's. */
    private static final double BEYOND_ROUNDING = 2.5;

    /** How far a figure may be off for full marks: a person rounds as he goes. */
    double tolerance() {
        return item.unit().step() + Tolerance.ROUNDING.size();
    }

    /** The share of the marks without any slip: all within one step of the unit it was asked in, half within two. */
    double credit() {
        return credit(off(), item.unit().step());
    }

    /** The share for being so far off, both in one unit: all within one step, half within two. */
    static double credit(double off, double step) {
        double tolerance = step + Tolerance.ROUNDING.size();
        if (off <= tolerance) {
            return 1;
        }
        return off <= tolerance + step ? 0.5 : 0;
    }

    /** Whether a slip has to explain it. */
    boolean wrong() {
        return credit() == 0;
    }

    /** Whether it is off by no more than the place that it was written to. */
    boolean coarse() {
        return off() <= place + Tolerance.ROUNDING.size();
    }

    /** Whether it is off what the readings give by more than rounding, as it was written, can do. */
    boolean beyondRounding() {
        return tells(wrote);
    }

    /** Whether a value is so far from the honest one that whoever writes it has not just rounded. */
    boolean tells(double value) {
        return Math.abs(value - honest) > BEYOND_ROUNDING * place;
    }

    private double off() {
        return Math.abs(wrote - right);
    }

    /** Whether a slip that gives a value explains what was written, within so many places. */
    boolean is(double value, double places) {
        return Math.abs(wrote - value) <= places * place + Tolerance.ROUNDING.size();
    }
}
