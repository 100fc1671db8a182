package app.galdrin.core.simulated;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.LimitReading;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Comparison;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.Optional;

/** Judges the apprentice's own figures against the sheet, and says what can be adjusted. */
@AutoService(StepWriter.class)
public final class JudgeWriter implements StepWriter {

    @Override
    public String kind() {
        return Judge.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        var judge = (Judge) step;
        OwnFigures own = apprentice.own();
        for (FigureId figure : judge.figures()) {
            own.goesBy(figure, judge.id())
                    .ifPresent(value -> apprentice
                            .pen()
                            .write(
                                    LineKey.of(judge.id(), figure.key()),
                                    verdict(apprentice.assignment(), figure, value, habit)
                                            .key()));
        }
        for (FigureId figure : judge.compared()) {
            apprentice
                    .practical()
                    .comparison(figure, judge.id())
                    .ifPresent(c -> compare(apprentice.pen(), own, judge, c));
        }
        for (FigureId.Adjustment adjustment : Practical.adjustments(judge.figures())) {
            Adjustable adjustable = apprentice.assignment().sheet().adjustable(adjustment);
            apprentice.pen().write(LineKey.of(judge.id(), Judge.ADJUSTABLE + adjustment.key()), adjustable.key());
        }
    }

    private static void compare(Pen pen, OwnFigures own, Judge judge, Comparison c) {
        Optional<Estimate> first = own.mean(c.first(), 0, c.figure());
        Optional<Estimate> second = own.mean(c.second(), 0, c.figure());
        if (first.isPresent() && second.isPresent()) {
            boolean agree = Comparison.agree(Comparison.difference(first.get(), second.get()));
            pen.write(
                    LineKey.of(judge.id(), Judge.AGREES + c.figure().key()),
                    (agree ? Judge.Agreement.AGREE : Judge.Agreement.DISAGREE).key());
        }
    }

    private static Judge.Verdict verdict(Assignment assignment, FigureId figure, Estimate value, Habit habit) {
        Zone zone = assignment
                .sheet()
                .limits(figure)
                .flatMap(limits -> habit.verdict()
                        .flatMap(slip -> LimitReading.by(slip, figure, value, limits, assignment.scale(figure)))
                        .or(() -> Optional.of(assignment
                                .scale(figure)
                                .judge(
                                        figure,
                                        value,
                                        limits,
                                        assignment.practical().rule())
                                .zone())))
                .orElse(Zone.INSIDE);
        if (zone.inDoubt()) {
            return Judge.Verdict.TOO_CLOSE;
        }
        return zone == Zone.INSIDE ? Judge.Verdict.INSIDE : Judge.Verdict.OUTSIDE;
    }
}
