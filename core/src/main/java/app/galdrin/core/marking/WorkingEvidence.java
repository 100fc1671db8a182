package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.Step;
import app.galdrin.core.sitting.MissingReading;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * A worked figure against what the taught working gives from the same readings, both in the answer's unit.
 *
 * @param taught key of the working
 * @param honest what the apprentice's readings give, in the unit of the answer
 * @param written what the apprentice wrote, in the unit of the answer
 * @param tolerance how far it may be off, in the unit of the answer, 0 or more
 * @param credit share of the marks, 0 to 1
 * @param slips that give what was written, each with all it takes
 * @param possible whether so many slips could give so much that this one may be chance
 * @param way what was asked for on the way to it; the marks are theirs and the figure's alike
 * @param follows what follows from the intermediate figures as written, in the unit of the answer; empty where that is what the readings give
 * @param rounded what a usual habit of rounding on the way gives, where marks were earned by that
 * @param unread readings that are missing, where the figure is right for what they can have been
 * @param steps from the apprentice's readings to the figure, an element a repeat; empty until the sheet is shown or stored
 */
public record WorkingEvidence(
        FigureId figure,
        String from,
        AnswerUnit unit,
        String taught,
        double honest,
        double written,
        double tolerance,
        double credit,
        List<Set<String>> slips,
        boolean possible,
        List<IntermediateMark> way,
        Optional<Double> follows,
        Optional<Double> rounded,
        List<MissingReading> unread,
        List<List<Step>> steps)
        implements Evidence {

    /** {@code unread}, {@code steps}: null in what was stored before they were told. */
    public WorkingEvidence {
        unread = Objects.requireNonNullElse(unread, List.of());
        steps = Objects.requireNonNullElse(steps, List.of());
    }

    /** Creates evidence without intermediate figures. */
    public WorkingEvidence(
            FigureId figure,
            String from,
            AnswerUnit unit,
            String taught,
            double honest,
            double written,
            double tolerance,
            double credit,
            List<Set<String>> slips,
            boolean possible) {
        this(
                figure,
                from,
                unit,
                taught,
                honest,
                written,
                tolerance,
                credit,
                slips,
                possible,
                List.of(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of());
    }

    WorkingEvidence with(List<List<Step>> through) {
        return new WorkingEvidence(
                figure, from, unit, taught, honest, written, tolerance, credit, slips, possible, way, follows, rounded,
                unread, through);
    }

    /** Returns whether it is right. */
    public boolean right() {
        return slips.isEmpty() && credit == 1;
    }

    /** Returns whether it follows from the apprentice's own figures, a total from two wheels, rather than from the readings. */
    public boolean addedUp() {
        return right()
                && way.isEmpty()
                && rounded.isEmpty()
                && unread.isEmpty()
                && Math.abs(written - honest) > tolerance;
    }

    /** Returns whether it is what follows from the intermediate figures as written, which were not what the readings give. */
    public boolean followsWay() {
        return follows.filter(f -> Math.abs(written - f) <= tolerance).isPresent();
    }

    /** Returns whether it is off by what rounding does, and lost half. */
    public boolean near() {
        return slips.isEmpty()
                && credit > 0
                && credit < 1
                && (way.isEmpty() || Math.abs(written - honest) <= 2 * tolerance);
    }
}
