package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.reference.ReferenceValue;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.MoveLines;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.ThrustReference;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Marks the vehicle as it was left, by others' readings. If they leave a figure in doubt, it is read once more. Both readings together
 * then decide, and a figure that is not certainly outside counts as its mean says.
 */
@AutoService(AspectMarker.class)
public final class AsLeftMarker implements AspectMarker {

    @Override
    public String kind() {
        return Round.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.AS_LEFT;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        var round = (Round) step;
        int last = new Sheet(sitting.assignment()).rounds(round, sitting.answers());
        boolean anything =
                round.measures().stream().anyMatch(m -> sitting.left().isRead(m, last));
        if (!anything) {
            return List.of(new Evidence.MissingEntry(Lack.AS_LEFT_REFERENCE, ""));
        }
        List<Evidence> evidence = new ArrayList<>();
        for (Measure measure : round.measures()) {
            for (FigureId figure : sitting.assignment().figuresAndDifferences(measure)) {
                sitting.assignment()
                        .limits(figure)
                        .ifPresent(limits -> evidence.add(evidence(sitting, round, measure, last, figure, limits)));
            }
        }
        return evidence.isEmpty() ? List.of(new Evidence.MissingEntry(Lack.AS_LEFT_LIMITS, "")) : evidence;
    }

    private static Evidence evidence(
            Case sitting, Round asked, Measure measure, int round, FigureId figure, Limits ofSheet) {
        // how alike the sides have to be is the sheet's to say, and what it prefers of that is zero
        boolean aimed = asked.aim() < Round.INSIDE && measure.figures().contains(figure);
        Limits limits = aimed ? ofSheet.within(asked.aim() / (double) Round.INSIDE) : ofSheet;
        Optional<Estimate> read = sitting.left().mean(measure, round, figure);
        if (read.isEmpty()) {
            return new Evidence.MissingEntry(Lack.AS_LEFT_REFERENCE, figure.key());
        }
        boolean again = sitting.left().isReadAgain(measure, round, figure);
        Estimate all = sitting.assignment()
                .beside(figure, read.get(), part -> sitting.left().mean(measure, round, part));
        Optional<Estimate> thrust = thrust(sitting, measure, round);
        // another reading of the same wheels says nothing of their run-out
        all = ThrustReference.countedFrom(thrust, figure, all).without(DoubtSource::isOfVehicle);
        Judgement judgement = sitting.assignment().scale(figure).judge(figure, all, limits, DecisionRule.SIMPLE);
        if (judgement.zone().inDoubt() && !again && !sitting.references().closed()) {
            return new Evidence.MissingEntry(Lack.AS_LEFT_AGAIN, figure.key());
        }
        boolean accepted = judgement.zone() != Zone.OUTSIDE && judgement.accepted();
        Optional<ReferenceValue> value = sitting.left().value(measure, figure);
        if (!accepted && sitting.waitsForInstructor(value) && !saysSo(sitting, measure, round, figure, limits)) {
            return new Evidence.MissingEntry(Lack.YOUR_READING, figure.key());
        }
        if (nothingMoves(sitting, figure) && (judgement.zone() == Zone.OUTSIDE || !judgement.accepted())) {
            return notAdjustable(sitting, figure, all, limits, judgement.zone());
        }
        return new Evidence.AsLeft(
                figure,
                ReadingMarker.figureOf(all),
                limits,
                DecisionRule.SIMPLE,
                judgement.zone(),
                again,
                accepted,
                aimed,
                sitting.line(figure, thrust, f -> sitting.left().firstMean(measure, round, f)),
                value.map(ReferenceValue::parts).orElse(List.of()));
    }

    /** Returns whether his own readings do not accept a figure either. */
    private static boolean saysSo(Case sitting, Measure measure, int round, FigureId figure, Limits limits) {
        return sitting.own()
                .mean(measure, round, figure)
                .filter(own -> !sitting.assignment()
                        .scale(figure)
                        .judge(figure, own, limits, DecisionRule.SIMPLE)
                        .accepted())
                .isPresent();
    }

    /** The thrust as left; as found where nobody has read the rear again, since nothing moves it then. */
    private static Optional<Estimate> thrust(Case sitting, Measure measure, int round) {
        return sitting.assignment().frontsToThrustLine()
                ? sitting.left()
                        .firstMean(measure, round, ThrustReference.FIGURE)
                        .or(() -> sitting.practical()
                                .of(Measure.class)
                                .flatMap(m -> sitting.found().mean(m, 0, ThrustReference.FIGURE).stream())
                                .findFirst())
                : Optional.empty();
    }

    private static boolean nothingMoves(Case sitting, FigureId figure) {
        return sitting.assignment().sheet().adjustable(figure.adjustment()) != Adjustable.NOT_KNOWN
                && sitting.assignment().adjusters(figure.adjustment()).isEmpty();
    }

    /** Judges a figure that nothing on this vehicle moves by whether it was found and its cause looked for. */
    private static Evidence notAdjustable(Case sitting, FigureId figure, Estimate left, Limits limits, Zone zone) {
        FigureId.Adjustment adjustment = figure.adjustment();
        boolean found = sitting.practical()
                .of(Judge.class)
                .anyMatch(judge -> judge.figures().stream()
                        .filter(adjustment::contains)
                        .flatMap(f -> sitting.answers().text(LineKey.of(judge.id(), f.key())).stream())
                        .anyMatch(said -> !said.equals(Judge.Verdict.INSIDE.key())));
        return new Evidence.NotAdjustable(
                figure, ReadingMarker.figureOf(left), limits, zone, found, isReported(sitting, adjustment));
    }

    /** Returns whether the part was to be looked for; where no plan asks it, whether it was said that nothing moves it. */
    private static boolean isReported(Case sitting, FigureId.Adjustment adjustment) {
        List<Plan> plans = sitting.practical()
                .of(Plan.class)
                .filter(plan -> plan.figures().stream().anyMatch(adjustment::contains))
                .toList();
        if (plans.isEmpty()) {
            return sitting.practical()
                    .of(Judge.class)
                    .anyMatch(judge -> sitting.answers()
                            .text(LineKey.of(judge.id(), Judge.ADJUSTABLE + adjustment.key()))
                            .filter(Adjustable.NO.key()::equals)
                            .isPresent());
        }
        return plans.stream()
                .anyMatch(plan -> sitting.answers()
                        .text(MoveLines.instead(plan, adjustment))
                        .flatMap(Plan::instead)
                        .filter(Plan.Instead.LOOK_FOR_THE_PART::equals)
                        .isPresent());
    }
}
