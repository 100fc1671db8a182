package app.galdrin.core.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.ThrustReference;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Comparison;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Marks what was said of each figure, and whether it can be adjusted. */
@AutoService(AspectMarker.class)
public final class VerdictMarker implements AspectMarker {

    @Override
    public String kind() {
        return Judge.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.VERDICT;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        var judge = (Judge) step;
        List<Evidence> evidence = new ArrayList<>();
        for (FigureId figure : judge.compared()) {
            sitting.practical()
                    .comparison(figure, judge.id())
                    .ifPresent(c -> evidence.add(compared(sitting, judge, c)));
        }
        List<Evidence> verdicts = sitting.assignment().sheet().withDifferences(judge.figures()).stream()
                .filter(figure -> sitting.assignment().limits(figure).isPresent())
                .map(figure -> verdict(sitting, judge, figure))
                .filter(one -> !isSpared(sitting, judge, one))
                .toList();
        evidence.addAll(withSlips(sitting, verdicts));
        for (FigureId.Adjustment adjustment : Practical.adjustments(judge.figures())) {
            if (sitting.assignment().sheet().adjustable(adjustment) != Adjustable.NOT_KNOWN) {
                evidence.add(adjustable(sitting, judge, adjustment));
            }
        }
        return evidence;
    }

    /** A side difference that the task does not name is missed only where the sides certainly differ too much. */
    private static boolean isSpared(Case sitting, Judge judge, Evidence evidence) {
        return evidence instanceof Evidence.MissingEntry missing
                && FigureId.parse(missing.subject())
                        .filter(figure -> !judge.figures().contains(figure))
                        .filter(figure -> sitting.standing(figure, judge.id())
                                .filter(value -> sitting.likewise(figure, judge.id(), value).stream()
                                        .flatMap(e -> sitting.judged(figure, e).stream())
                                        .allMatch(judgement -> judgement.zone() == Zone.OUTSIDE))
                                .isEmpty())
                        .isPresent();
    }

    private static Evidence compared(Case sitting, Judge judge, Comparison c) {
        Optional<Estimate> first = sitting.own().mean(c.first(), 0, c.figure());
        Optional<Estimate> second = sitting.own().mean(c.second(), 0, c.figure());
        Optional<Judge.Agreement> said = sitting.answers()
                .text(LineKey.of(judge.id(), Judge.AGREES + c.figure().key()))
                .flatMap(text -> Keyed.find(Judge.Agreement.values(), text));
        if (first.isEmpty() || second.isEmpty() || said.isEmpty()) {
            boolean read = first.isPresent() && second.isPresent();
            return new Evidence.MissingEntry(
                    read ? Lack.VERDICT : Lack.READINGS, c.figure().key());
        }
        Estimate difference = Comparison.difference(first.get(), second.get());
        return new Evidence.FigureComparison(
                c.figure(),
                c.first().procedure().key(),
                c.second().procedure().key(),
                difference.value(),
                Judgement.K * difference.standardUncertainty(),
                said.get(),
                Comparison.agree(difference) ? Judge.Agreement.AGREE : Judge.Agreement.DISAGREE);
    }

    private static Evidence verdict(Case sitting, Judge judge, FigureId figure) {
        Optional<Estimate> thrust = sitting.own().thrustLine(judge.id());
        Optional<Estimate> value =
                sitting.standing(figure, judge.id()).map(v -> ThrustReference.countedFrom(thrust, figure, v));
        Optional<Verdict> said = sitting.answers()
                .text(LineKey.of(judge.id(), figure.key()))
                .flatMap(text -> Keyed.find(Verdict.values(), text));
        if (value.isEmpty() || said.isEmpty()) {
            return new Evidence.MissingEntry(value.isEmpty() ? Lack.WORKING : Lack.VERDICT, figure.key());
        }
        Judgement judgement = sitting.judged(figure, value.get()).orElseThrow();
        DecisionRule rule = sitting.practical().rule();
        return new Evidence.JudgedFigure(
                figure,
                ReadingMarker.figureOf(value.get()),
                sitting.assignment().limits(figure).orElseThrow(),
                rule,
                judgement.zone(),
                Optional.of(sitting.assignment().scale(figure).shown(figure, value.get())),
                said.get(),
                sitting.likewise(figure, judge.id(), value.get()).stream()
                        .flatMap(e -> sitting.judged(figure, e).stream())
                        .flatMap(j -> Judge.right(j.zone(), rule).stream())
                        .collect(Collectors.toCollection(() -> EnumSet.noneOf(Verdict.class))),
                List.of(),
                false,
                sitting.line(figure, thrust, f -> sitting.standing(f, judge.id())));
    }

    /** A slip in reading limits is made all down the sheet: it has to give every verdict, right ones and wrong ones. */
    private static List<Evidence> withSlips(Case sitting, List<Evidence> verdicts) {
        List<Evidence.JudgedFigure> judged = verdicts.stream()
                .filter(Evidence.JudgedFigure.class::isInstance)
                .map(Evidence.JudgedFigure.class::cast)
                .toList();
        long wrong = judged.stream().filter(j -> j.credit() < 1).count();
        if (wrong == 0) {
            return verdicts;
        }
        List<Set<String>> slips = LimitSlip.ALL.stream()
                .filter(slip ->
                        judged.stream().allMatch(j -> slip.said(sitting, j).contains(j.said())))
                .map(slip -> Set.of(slip.key()))
                .toList();
        return verdicts.stream()
                .map(v -> v instanceof Evidence.JudgedFigure j && j.credit() < 1 ? j.with(slips, wrong == 1) : v)
                .toList();
    }

    private static Evidence adjustable(Case sitting, Judge judge, FigureId.Adjustment adjustment) {
        Adjustable actual = sitting.assignment().sheet().adjustable(adjustment);
        return sitting.answers()
                .text(LineKey.of(judge.id(), Judge.ADJUSTABLE + adjustment.key()))
                .flatMap(text -> Keyed.find(Adjustable.values(), text))
                .<Evidence>map(said -> new Evidence.CanBeAdjusted(adjustment.key(), said, actual))
                .orElseGet(() -> new Evidence.MissingEntry(Lack.ADJUSTABLE, adjustment.key()));
    }
}
