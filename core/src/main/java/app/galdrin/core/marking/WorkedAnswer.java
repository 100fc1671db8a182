package app.galdrin.core.marking;

import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import java.util.List;
import java.util.Optional;

/**
 * A figure as it was worked on paper, in the answer's unit.
 *
 * @param honest what the taught working gives from the same readings
 * @param right the same; of a total that was added up right from the apprentice's own wheels, their sum; of what was rounded on the way, what that
 * gives
 * @param wrote what was written
 * @param place one unit of the last place it was written to, or asked for where that is coarser
 * @param rounded what a usual habit of rounding on the way gives, where that is why it is right
 * @param unread readings that are missing, where what was written is right for what they can have been
 */
record WorkedAnswer(
        Work.Item item,
        Measure measure,
        double honest,
        double right,
        double wrote,
        double place,
        Optional<Double> rounded,
        List<MissingReading> unread) {

    /** A figure that is off by no more than this many places is a matter of rounding and never a slip's. */
    private static final double BEYOND_ROUNDING = 2.5;

    /** The same, right by what follows from the apprentice's other figures, in the answer's unit. */
    WorkedAnswer following(double follows) {
        return new WorkedAnswer(item, measure, honest, follows, wrote, place, rounded, unread);
    }

    /** The same, right by what rounding on the way gives, in the answer's unit. */
    WorkedAnswer rounding(double gives) {
        return new WorkedAnswer(item, measure, honest, wrote, wrote, place, Optional.of(gives), unread);
    }

    /** Returns whether it was written as this, give or take a step of the unit it was asked in. */
    boolean isWrittenAs(double value) {
        return Math.abs(wrote - value) <= tolerance();
    }

    /** The same, right for what readings that are missing can have been. */
    WorkedAnswer supposing(List<MissingReading> missing) {
        return new WorkedAnswer(item, measure, honest, wrote, wrote, place, Optional.empty(), missing);
    }

    /** Returns how far a figure may be off for full marks: people round on the way. */
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

    /** Returns whether a slip has to explain it. */
    boolean wrong() {
        return credit() == 0;
    }

    /** Returns whether it is off by no more than the place that it was written to. */
    boolean coarse() {
        return off() <= place + Tolerance.ROUNDING.size();
    }

    /** Returns whether it is off what the readings give by more than rounding, as it was written, can do. */
    boolean beyondRounding() {
        return tells(wrote);
    }

    /** Returns whether a value is so far from the honest one that anyone who writes it has not just rounded. */
    boolean tells(double value) {
        return Math.abs(value - honest) > BEYOND_ROUNDING * place;
    }

    private double off() {
        return Math.abs(wrote - right);
    }

    /** Returns whether a slip that gives a value explains what was written, within so many places. */
    boolean is(double value, double places) {
        return Math.abs(wrote - value) <= places * place + Tolerance.ROUNDING.size();
    }
}
