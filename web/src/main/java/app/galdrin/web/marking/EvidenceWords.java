package app.galdrin.web.marking;

import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.RodMove;
import app.galdrin.core.marking.Slip;
import app.galdrin.core.marking.VerdictChoice;
import app.galdrin.core.measure.Asked;
import app.galdrin.core.record.Step;
import app.galdrin.core.spec.Axle;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.QuantityLimits;
import app.galdrin.core.spec.SheetQuantity;
import app.galdrin.core.task.ToeTask;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.layout.Words;
import app.galdrin.web.layout.WorkingWords;
import app.galdrin.web.sketch.ToleranceRule;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says what a mark rests on, with the apprentice's own numbers. */
@Component
public class EvidenceWords {

    private final Words words;
    private final WorkingWords working;

    EvidenceWords(Words words, WorkingWords working) {
        this.words = words;
        this.working = working;
    }

    /**
     * One piece of evidence said.
     *
     * @param head what it is about
     * @param right whether it earned all there was; empty where something is missing
     * @param lines sentences
     * @param slips names of the slips that explain it
     * @param rule the tolerance rule it was judged on
     */
    public record Told(
            String head,
            Optional<Boolean> right,
            List<String> lines,
            List<String> slips,
            Optional<ToleranceRule> rule) {

        Told withLines(List<String> more) {
            List<String> all = new ArrayList<>(lines);
            all.addAll(more);
            return new Told(head, right, all, slips, rule);
        }
    }

    public List<Told> tell(ToeTask task, List<Evidence> evidence) {
        return evidence.stream().map(e -> tell(task, e)).toList();
    }

    /** The same, and behind each worked figure the way to it with the apprentice's own readings, a line a repeat. */
    public List<Told> tellWorkedThrough(ToeTask task, List<Evidence> evidence, List<Map<String, Double>> asFound) {
        return evidence.stream()
                .map(e -> {
                    Told told = tell(task, e);
                    return e instanceof Evidence.Working w
                            ? told.withLines(workedThrough(task, w.asked(), asFound))
                            : told;
                })
                .toList();
    }

    private List<String> workedThrough(ToeTask task, Asked asked, List<Map<String, Double>> asFound) {
        List<String> lines = new ArrayList<>();
        for (Map<String, Double> repeat : asFound) {
            task.work(List.of(repeat)).forEach(figures -> lines.add(way(task, asked, repeat)));
        }
        return lines;
    }

    /** The steps to a figure; of a total that stands beside its two wheels, the last one only. */
    private String way(ToeTask task, Asked asked, Map<String, Double> repeat) {
        List<Step> steps = task.method().working(repeat, task.sheet().geometry(), asked);
        boolean wheelsStandBeside =
                asked == Asked.TOTAL && task.asked().figures().size() > 1;
        return steps.subList(wheelsStandBeside ? steps.size() - 1 : 0, steps.size()).stream()
                .map(working::step)
                .collect(Collectors.joining(" "));
    }

    private Told tell(ToeTask task, Evidence evidence) {
        if (evidence instanceof Evidence.Missing e) {
            return told("missing", Optional.empty(), List.of(say("missing." + e.what())));
        }
        if (evidence instanceof Evidence.Step e) {
            return told(
                    "step." + e.step(), Optional.of(e.done()), List.of(say(e.done() ? "step.done" : "step.notDone")));
        }
        if (evidence instanceof Evidence.Reading e) {
            return reading(task, e);
        }
        if (evidence instanceof Evidence.Repeats e) {
            String totals = e.totals().stream().map(words::angle).collect(Collectors.joining(", "));
            return told(
                    "criterion.repeatability",
                    Optional.of(e.credit() == 1),
                    List.of(say(
                            "evidence.repeats",
                            totals,
                            words.doubt(e.range()),
                            words.doubt(e.band().full()),
                            words.doubt(e.band().none()))));
        }
        if (evidence instanceof Evidence.Working e) {
            return working(task, e);
        }
        if (evidence instanceof Evidence.Verdict e) {
            return verdict(task, e);
        }
        if (evidence instanceof Evidence.Adjustable e) {
            String key = "evidence.adjustable." + (e.said() ? "yes" : "no") + "." + (e.actual() ? "yes" : "no");
            return told("judge.adjustable", Optional.of(e.said() == e.actual()), List.of(say(key)));
        }
        if (evidence instanceof Evidence.Rod e) {
            return rod(e);
        }
        var e = (Evidence.AsLeft) evidence;
        var limits = limits(task, e.asked()).orElseThrow();
        String key = "evidence.asLeft." + (e.judgement().accepted() ? "accepted" : "refused");
        return new Told(
                say("asked." + e.asked().key()),
                Optional.of(e.judgement().accepted()),
                List.of(say(
                        key,
                        words.angle(e.reference().value()),
                        say("zone." + e.judgement().zone().key()))),
                List.of(),
                Optional.of(ToleranceRule.of(e.reference(), limits.limits(), e.judgement())));
    }

    private Told reading(ToeTask task, Evidence.Reading e) {
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.reading",
                words.angle(e.own().value()),
                words.angle(e.reference().value()),
                words.doubt(Math.abs(e.difference())),
                words.doubt(e.band().full()),
                words.doubt(e.band().none())));
        working.doubt(task.method(), e.own())
                .ifPresent(source -> lines.add(
                        say("evidence.reading.doubt", words.doubt(e.own().standardUncertainty()), source)));
        return new Told(
                say("asked." + e.asked().key()),
                Optional.of(e.credit() == 1),
                lines,
                slips(e.slips()),
                Optional.empty());
    }

    private Told working(ToeTask task, Evidence.Working e) {
        String key = e.right() ? "evidence.working.right" : "evidence.working.wrong";
        String line =
                say(key, words.answer(e.written(), task.answerUnit()), words.answer(e.engine(), task.answerUnit()));
        return new Told(
                say("asked." + e.asked().key()),
                Optional.of(e.right()),
                List.of(line),
                slips(e.slips()),
                Optional.empty());
    }

    private Told verdict(ToeTask task, Evidence.Verdict e) {
        boolean right = e.right().contains(e.said());
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.verdict",
                say("verdict." + e.said().key()),
                words.angle(e.value().value()),
                words.doubt(Judgement.K * e.value().standardUncertainty()),
                say("zone." + e.zone().key())));
        if (!right) {
            String accepted = e.right().stream()
                    .map(VerdictChoice::key)
                    .map(k -> say("verdict." + k))
                    .collect(Collectors.joining(" " + say("or") + " "));
            lines.add(say("evidence.verdict.right", accepted));
        }
        return new Told(
                say("asked." + e.asked().key()),
                Optional.of(right),
                lines,
                List.of(),
                rule(task, e.asked(), e.value()));
    }

    private Told rod(Evidence.Rod e) {
        List<String> lines = new ArrayList<>();
        lines.add(say("evidence.rod", move(e.planned()), move(e.needed()), words.turns(e.allowance())));
        if (e.splitAssumed()) {
            lines.add(say("evidence.rod.split"));
        }
        List<String> slip = e.slip().map(s -> List.of(say("slip." + s.key()))).orElse(List.of());
        return new Told(
                say(e.left() ? "rod.left" : "rod.right"), Optional.of(e.credit() == 1), lines, slip, Optional.empty());
    }

    private String move(RodMove move) {
        return switch (move.direction()) {
            case 1 -> say("move.lengthen", words.turns(move.turns()));
            case -1 -> say("move.shorten", words.turns(move.turns()));
            default -> say("move.leave");
        };
    }

    /** The tolerance rule of a toe figure on this task's sheet. */
    public Optional<ToleranceRule> rule(ToeTask task, Asked asked, Estimate value) {
        DecisionRule rule = task.rule();
        return limits(task, asked)
                .map(QuantityLimits::limits)
                .map(l -> ToleranceRule.of(value, l, Judgement.of(value, l, Judgement.K, rule)));
    }

    /** The sheet's limits of a toe figure. */
    public Optional<QuantityLimits> limits(ToeTask task, Asked asked) {
        return task.sheet().line(Axle.FRONT, asked == Asked.TOTAL ? SheetQuantity.TOTAL_TOE : SheetQuantity.TOE);
    }

    private List<String> slips(List<Set<Slip>> slips) {
        return slips.stream()
                .map(set -> set.stream()
                        .map(s -> say("slip." + s.key()))
                        .collect(Collectors.joining(" " + say("and") + " ")))
                .toList();
    }

    private Told told(String head, Optional<Boolean> right, List<String> lines) {
        return new Told(say(head), right, lines, List.of(), Optional.empty());
    }

    private String say(String key, Object... args) {
        return words.text(key, args);
    }
}
