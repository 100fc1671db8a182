package app.galdrin.core.marking;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.QuantityLimits;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.ChecklistStep;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.ToeTask;
import app.galdrin.core.uncertainty.Estimate;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Marks a sitting. Every criterion is marked on the apprentice's own figures before it (error carried forward), so that
 * no mistake costs twice. Entries that are missing give a line that says so, never an exception.
 */
public final class Marker {

    private static final double ROUNDING = 1e-9;

    private final ToeTask task;
    private final SittingWork work;
    private final References references;
    private final OwnFigures own;

    private Marker(ToeTask task, SittingWork work, References references) {
        this.task = task;
        this.work = work;
        this.references = references;
        this.own = new OwnFigures(task, work);
    }

    public static MarkSheet mark(ToeTask task, SittingWork work, References references) {
        var marker = new Marker(task, work, references);
        return new MarkSheet(Stream.of(Criterion.values())
                .filter(task.scheme()::isMarked)
                .map(marker::line)
                .toList());
    }

    private MarkLine line(Criterion criterion) {
        List<Evidence> evidence = switch (criterion) {
            case CRITICAL_STEPS -> steps(true);
            case PREPARATION -> steps(false);
            case READING -> reading();
            case REPEATABILITY -> repeatability();
            case WORKING -> working();
            case VERDICT -> verdict();
            case PLAN -> new PlanMarker(task, work, own).evidence();
            case AS_LEFT -> asLeft();
        };
        double credit =
                evidence.stream().mapToDouble(Evidence::credit).average().orElse(0);
        int available = task.scheme().marksFor(criterion);
        return new MarkLine(
                criterion,
                available,
                task.scheme().mustPass().contains(criterion),
                credit,
                BigDecimal.valueOf(available * credit).setScale(1, RoundingMode.HALF_UP),
                evidence,
                Optional.empty());
    }

    private List<Evidence> steps(boolean critical) {
        return task.checklist().stream()
                .filter(step -> step.critical() == critical)
                .map(ChecklistStep::key)
                .<Evidence>map(key -> new Evidence.Step(key, work.stepsDone().contains(key)))
                .toList();
    }

    private List<Evidence> reading() {
        List<ToeFigures> reference = task.work(references.asFound());
        if (own.repeats().isEmpty()) {
            return missing("asFoundReadings");
        }
        if (reference.isEmpty()) {
            return missing("asFoundReference");
        }
        ToeFigures mine = ToeFigures.mean(own.repeats());
        ToeFigures theirs = ToeFigures.mean(reference);
        return task.asked().figures().stream()
                .map(asked -> reading(asked, figure(mine, asked), figure(theirs, asked)))
                .toList();
    }

    private Evidence reading(Asked asked, Estimate mine, Estimate theirs) {
        Band band = task.scheme().reading();
        double difference = mine.value() - theirs.value();
        double credit = band.credit(difference);
        List<Set<Slip>> slips = credit == 1
                ? List.of()
                : new SlipFinder(task, work.asFound())
                        .explainReadings(asked, toe -> Math.abs(toe - theirs.value()) <= band.full());
        return new Evidence.Reading(asked, mine, theirs, difference, band, credit, slips);
    }

    private List<Evidence> repeatability() {
        if (own.repeats().size() < 2) {
            return missing("repeats");
        }
        List<Double> totals = own.repeats().stream().map(f -> f.total().value()).toList();
        double range = totals.stream().mapToDouble(t -> t).max().orElse(0)
                - totals.stream().mapToDouble(t -> t).min().orElse(0);
        Band band = task.scheme().repeatability();
        return List.of(new Evidence.Repeats(totals, range, band, band.credit(range)));
    }

    private List<Evidence> working() {
        if (own.repeats().isEmpty()) {
            return missing("asFoundReadings");
        }
        ToeFigures mine = ToeFigures.mean(own.repeats());
        return task.asked().figures().stream()
                .map(asked -> working(asked, figure(mine, asked)))
                .toList();
    }

    private Evidence working(Asked asked, Estimate figure) {
        Written written = work.working().get(asked);
        if (written == null) {
            return new Evidence.Missing("working." + asked.key());
        }
        double engine = task.answerUnit().ofToe(figure.value(), asked, task.baseline());
        double tolerance = tolerance(written);
        if (Math.abs(written.value() - engine) <= tolerance) {
            return new Evidence.Working(asked, engine, written.value(), tolerance, 1, List.of());
        }
        List<Set<Slip>> slips = new SlipFinder(task, work.asFound())
                .explain(asked, value -> Math.abs(written.value() - value) <= tolerance);
        double kept = slips.isEmpty() ? 0 : task.scheme().slipKeepsPercent() / 100.0;
        return new Evidence.Working(asked, engine, written.value(), tolerance, kept, slips);
    }

    /** Half of the place it was written to; a coarser place than was asked for earns no more room than one asked-for step. */
    private double tolerance(Written written) {
        double step = task.answerUnit().step();
        return Math.max(step / 2, Math.min(step, written.step() / 2)) + ROUNDING;
    }

    private List<Evidence> verdict() {
        List<Evidence> evidence = new ArrayList<>();
        for (Asked asked : task.asked().figures()) {
            own.limits(asked).ifPresent(limits -> evidence.add(verdict(asked, limits)));
        }
        boolean actual =
                own.limits(Asked.TOTAL).flatMap(QuantityLimits::adjustableBy).isPresent();
        evidence.add(work.saysAdjustable()
                .<Evidence>map(said -> new Evidence.Adjustable(said, actual))
                .orElseGet(() -> new Evidence.Missing("verdict.adjustable")));
        return evidence;
    }

    private Evidence verdict(Asked asked, QuantityLimits limits) {
        Optional<Estimate> value = own.worked(asked);
        VerdictChoice said = work.verdicts().get(asked);
        if (value.isEmpty() || said == null) {
            return new Evidence.Missing((value.isEmpty() ? "working." : "verdict.") + asked.key());
        }
        Zone zone = Judgement.of(value.get(), limits.limits(), Judgement.K, task.rule())
                .zone();
        return new Evidence.Verdict(asked, value.get(), zone, said, rightVerdicts(zone));
    }

    /** In doubt, "too close to tell" is right; under simple acceptance so is the side on which the value lies. */
    private Set<VerdictChoice> rightVerdicts(Zone zone) {
        boolean simple = task.rule() == DecisionRule.SIMPLE;
        return switch (zone) {
            case INSIDE -> EnumSet.of(VerdictChoice.INSIDE);
            case OUTSIDE -> EnumSet.of(VerdictChoice.OUTSIDE);
            case DOUBT_INSIDE ->
                simple
                        ? EnumSet.of(VerdictChoice.TOO_CLOSE, VerdictChoice.INSIDE)
                        : EnumSet.of(VerdictChoice.TOO_CLOSE);
            case DOUBT_OUTSIDE ->
                simple
                        ? EnumSet.of(VerdictChoice.TOO_CLOSE, VerdictChoice.OUTSIDE)
                        : EnumSet.of(VerdictChoice.TOO_CLOSE);
        };
    }

    private List<Evidence> asLeft() {
        List<ToeFigures> reference = task.work(references.asLeft());
        if (reference.isEmpty()) {
            return missing("asLeftReference");
        }
        ToeFigures theirs = ToeFigures.mean(reference);
        List<Evidence> evidence = new ArrayList<>();
        for (Asked asked : task.asked().figures()) {
            Estimate figure = figure(theirs, asked);
            own.limits(asked)
                    .map(l -> Judgement.of(figure, l.limits(), Judgement.K, task.rule()))
                    .ifPresent(j -> evidence.add(new Evidence.AsLeft(asked, figure, j)));
        }
        return evidence;
    }

    /** A figure the task asks for; a method that does not see it was refused with the task. */
    static Estimate figure(ToeFigures figures, Asked asked) {
        return figures.figure(asked).orElseThrow();
    }

    static List<Evidence> missing(String what) {
        return List.of(new Evidence.Missing(what));
    }
}
