package app.galdrin.web.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.procedure.Procedure.Worked;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Slips;
import app.galdrin.core.procedure.TargetReading;
import app.galdrin.core.record.Step;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.Way;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Plan.Instead;
import app.galdrin.web.layout.StepWords;
import app.galdrin.web.layout.TargetWords;
import app.galdrin.web.layout.Words;
import app.galdrin.web.layout.WorkingWords;
import app.galdrin.web.sketch.ToleranceRule;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says what a mark rests on, with the apprentice's own numbers. */
@Component
public class EvidenceWords {

    private final Words words;
    private final WorkingWords working;
    private final StepWords steps;
    private final TargetWords targets;

    EvidenceWords(Words words, WorkingWords working, StepWords steps, TargetWords targets) {
        this.words = words;
        this.working = working;
        this.steps = steps;
        this.targets = targets;
    }

    /**
     * One piece of evidence said.
     *
     * @param head what it is about
     * @param right whether it earned all there was; empty where something is missing
     * @param lines sentences
     * @param through the way to a figure with the apprentice's own readings, a line a step
     * @param slips names of the slips that explain it
     * @param rule the tolerance rule it was judged on
     */
    public record Told(
            String head,
            Optional<Boolean> right,
            List<String> lines,
            List<Repeat> through,
            List<String> slips,
            Optional<ToleranceRule> rule) {

        /** One repeat's way to a figure, or what all of them come to. */
        public record Repeat(String name, List<Calculated> lines) {}

        /** A line of it; {@code left} is what a slip does there. */
        public record Calculated(WorkingWords.Line line, Optional<String> left) {}

        static Told of(String head, boolean right, String... lines) {
            return new Told(head, Optional.of(right), List.of(lines), List.of(), List.of(), Optional.empty());
        }

        Told with(ToleranceRule drawn) {
            return new Told(head, right, lines, through, slips, Optional.of(drawn));
        }
    }

    public List<Told> tell(List<Evidence> evidence) {
        return evidence.stream().map(this::tell).toList();
    }

    /** The same, and behind each worked figure the way to it with the apprentice's own readings. */
    public List<Told> tellWorkedThrough(MarkLine line, Assignment assignment, Answers answers) {
        var own = new OwnFigures(assignment, answers);
        Set<FigureId> figures = line.evidence().stream()
                .filter(Evidence.Working.class::isInstance)
                .map(e -> ((Evidence.Working) e).figure())
                .collect(Collectors.toSet());
        return line.evidence().stream()
                .map(e -> {
                    Told told = tell(e);
                    return e instanceof Evidence.Working w
                            ? new Told(
                                    told.head(),
                                    told.right(),
                                    told.lines(),
                                    through(assignment, own, w, figures),
                                    told.slips(),
                                    told.rule())
                            : told;
                })
                .toList();
    }

    /** The steps to a figure, repeat by repeat; of a sum that stands beside its two wheels nothing but itself is shown. */
    private List<Told.Repeat> through(Assignment assignment, OwnFigures own, Evidence.Working e, Set<FigureId> beside) {
        Measure measure = assignment.practical().measure(e.from()).orElseThrow();
        boolean partsStandBeside = e.figure().ofBothWheels()
                && beside.stream()
                        .anyMatch(f -> f.measurand() == e.figure().measurand().base());
        List<Told.Repeat> repeats = new ArrayList<>();
        for (Worked repeat : own.repeats(measure, 0)) {
            measure.procedure().stepsTo(e.figure(), repeat, e.taught()).ifPresent(found -> {
                List<Step> shown = partsStandBeside ? found.subList(found.size() - 1, found.size()) : found;
                repeats.add(new Told.Repeat(
                        say("calc.repeat", repeats.size() + 1),
                        shown.stream().map(step -> calculated(step, e)).toList()));
            });
        }
        return repeats;
    }

    private Told.Calculated calculated(Step step, Evidence.Working e) {
        // a slip that is only possible is not pointed at
        Set<String> keys = e.possible()
                ? Set.of()
                : e.slips().stream().flatMap(Set::stream).collect(Collectors.toSet());
        return new Told.Calculated(
                working.calculation(step),
                Slips.all().stream()
                        .filter(slip -> keys.contains(slip.key()) && slip.isMadeAt(step.formula()))
                        .map(slip -> say("slip." + slip.key()))
                        .findFirst());
    }

    private Told tell(Evidence evidence) {
        if (evidence instanceof Evidence.Missing e) {
            String of = e.of().isEmpty() ? "" : name(e.of());
            String line = of.isEmpty()
                    ? say("lack." + e.what().key())
                    : say("lack.of", say("lack." + e.what().key()), of);
            return new Told(say("missing"), Optional.empty(), List.of(line), List.of(), List.of(), Optional.empty());
        }
        if (evidence instanceof Evidence.Item e) {
            String head = words.textOr("item." + e.item(), "item.own", e.item());
            return Told.of(head, e.done(), say(e.done() ? "item.done" : "item.notDone"));
        }
        if (evidence instanceof Evidence.Reading e) {
            return reading(e);
        }
        if (evidence instanceof Evidence.Repeats e) {
            return repeats(e);
        }
        if (evidence instanceof Evidence.Working e) {
            return working(e);
        }
        if (evidence instanceof Evidence.Target e) {
            return target(e);
        }
        if (evidence instanceof Evidence.Judged e) {
            return judged(e);
        }
        if (evidence instanceof Evidence.Compared e) {
            return Told.of(
                    say(
                            "judge.compared",
                            words.name(e.figure()),
                            say("procedure." + e.first()),
                            say("procedure." + e.second())),
                    e.credit() == 1,
                    say(
                            "evidence.compared." + e.right().key(),
                            words.figure(e.difference(), e.figure()),
                            words.doubt(e.expanded(), e.figure()),
                            say("agreement." + e.said().key())));
        }
        if (evidence instanceof Evidence.CanBeAdjusted e) {
            return Told.of(
                    say("judge.adjustable", name(e.adjustment())),
                    e.said() == e.actual(),
                    say(
                            "evidence.adjustable",
                            say("adjustable." + e.said().key()),
                            say("adjustable.is." + e.actual().key())));
        }
        if (evidence instanceof Evidence.Effect e) {
            return effect(e);
        }
        if (evidence instanceof Evidence.Move e) {
            return move(e);
        }
        if (evidence instanceof Evidence.Sequence e) {
            return sequence(e);
        }
        if (evidence instanceof Evidence.NoMove e) {
            String right = e.right().stream().map(this::instead).collect(Collectors.joining(" " + say("or") + " "));
            return Told.of(
                    say("plan.noMove", name(e.adjustment())),
                    e.credit() == 1,
                    say("evidence.noMove", instead(e.planned()), right));
        }
        return asLeft((Evidence.AsLeft) evidence);
    }

    /** The name of a figure, of a part or of what is adjusted together, by key. */
    private String name(String key) {
        int dot = key.indexOf('.');
        boolean part =
                Keyed.find(Part.values(), dot < 0 ? key : key.substring(0, dot)).isPresent();
        return part ? steps.adjuster(key) : FigureId.parse(key).map(words::name).orElseGet(() -> steps.adjustment(key));
    }

    private String instead(Instead instead) {
        return say("instead." + instead.key());
    }

    private Told reading(Evidence.Reading e) {
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.reading",
                words.figure(e.own().value(), e.figure()),
                words.figure(e.reference().value(), e.figure()),
                words.doubt(Math.abs(e.difference()), e.figure()),
                words.doubt(e.band().full(), e.figure()),
                words.doubt(e.band().none(), e.figure())));
        if (e.widened()) {
            lines.add(say("evidence.reading.widened", words.doubt(e.promised(), e.figure())));
        }
        if (e.taken() < e.asked()) {
            lines.add(say("evidence.reading.taken", e.taken(), e.asked()));
        }
        e.doubtFrom()
                .ifPresent(from -> lines.add(say(
                        "evidence.reading.doubt",
                        words.doubt(e.own().doubt(), e.figure()),
                        working.doubt(from.group(), from.share()))));
        return new Told(
                words.name(e.figure()),
                Optional.of(e.credit() == 1),
                lines,
                List.of(),
                slips(e.slips()),
                Optional.empty());
    }

    private Told repeats(Evidence.Repeats e) {
        String each = e.each().stream().map(v -> words.figure(v, e.figure())).collect(Collectors.joining(", "));
        return Told.of(
                words.name(e.figure()),
                e.credit() == 1,
                say(
                        "evidence.repeats",
                        each,
                        words.doubt(e.range(), e.figure()),
                        words.doubt(e.band().full(), e.figure()),
                        words.doubt(e.band().none(), e.figure())));
    }

    private Told working(Evidence.Working e) {
        String how = e.addedUp() ? "addedUp" : e.right() ? "right" : e.near() ? "near" : "wrong";
        AnswerUnit unit = e.unit();
        List<String> lines = new ArrayList<>();
        lines.add(say("evidence.working." + how, words.answer(e.written(), unit), words.answer(e.honest(), unit)));
        if (e.possible()) {
            lines.add(say("slip.possible", String.join("; ", slips(e.slips()))));
        }
        return new Told(
                words.name(e.figure()),
                Optional.of(e.right()),
                lines,
                List.of(),
                e.possible() ? List.of() : slips(e.slips()),
                Optional.empty());
    }

    private Told target(Evidence.Target e) {
        var procedure = Procedures.named(e.procedure()).orElseThrow();
        var reading = new TargetReading(procedure.place(e.place()), e.against().map(procedure::place), e.honest());
        boolean right = e.credit() == 1;
        return Told.of(
                say("evidence.target", targets.name(reading)),
                right,
                say(
                        right ? "evidence.working.right" : "evidence.working.wrong",
                        targets.value(reading, e.written()),
                        targets.value(reading, e.honest())));
    }

    private Told judged(Evidence.Judged e) {
        boolean right = e.right().contains(e.said());
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.verdict",
                verdict(e.said()),
                e.shown()
                        .map(s -> words.answer(s.value(), s.unit()))
                        .orElseGet(() -> words.figure(e.own().value(), e.figure())),
                e.shown()
                        .map(s -> words.answerDoubt(s.expanded(), s.unit()))
                        .orElseGet(() -> words.doubt(Judgement.K * e.own().doubt(), e.figure())),
                say("zone." + e.zone().key())));
        if (!right) {
            lines.add(say(
                    "evidence.verdict.right",
                    e.right().stream().map(this::verdict).collect(Collectors.joining(" " + say("or") + " "))));
        }
        return new Told(words.name(e.figure()), Optional.of(right), lines, List.of(), List.of(), Optional.empty())
                .with(ToleranceRule.of(e.figure(), e.own().value(), e.own().doubt(), e.limits(), e.zone()));
    }

    private String verdict(Verdict verdict) {
        return say("verdict." + verdict.key());
    }

    private Told effect(Evidence.Effect e) {
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.effect",
                moves(e),
                words.figure(e.own().value(), e.figure()),
                words.figure(e.after(), e.figure())));
        e.limits().target().ifPresent(t -> lines.add(say("evidence.effect.preferred", words.figure(t, e.figure()))));
        if (e.splitAssumed()) {
            lines.add(say("evidence.move.split"));
        }
        return new Told(
                words.name(e.figure()),
                Optional.of(e.credit() == 1),
                lines,
                List.of(),
                slips(e.slips()),
                Optional.empty());
    }

    private Told sequence(Evidence.Sequence e) {
        String how = e.untouched().isEmpty() ? "kept" : e.moved().isEmpty() ? "notRead" : "tooEarly";
        return Told.of(
                say("evidence.sequence"),
                e.credit() == 1,
                say(
                        "evidence.sequence." + how,
                        e.round(),
                        e.moved().isEmpty() ? "" : steps.adjuster(e.moved()),
                        e.untouched().isEmpty() ? "" : name(e.untouched())));
    }

    private String moves(Evidence.Effect e) {
        return e.moves().stream().allMatch(m -> m.amount() == 0)
                ? say("way." + Way.LEAVE.key())
                : e.moves().stream()
                        .filter(m -> m.amount() != 0)
                        .map(m -> say(
                                "evidence.effect.move",
                                steps.adjuster(m.adjuster()),
                                amount(m.way(), m.amount(), m.unit(), true)))
                        .collect(Collectors.joining("; "));
    }

    private Told move(Evidence.Move e) {
        List<String> lines = new ArrayList<>();
        String planned = amount(e.way(), e.planned(), e.unit(), true);
        lines.add(
                e.needed().isPresent()
                        ? say(
                                "evidence.move",
                                planned,
                                amount(e.neededWay(), e.needed().get(), e.unit(), true),
                                words.turns(e.allowance()),
                                say("adjusterUnit." + e.unit()))
                        : say("evidence.move.way", planned, amount(e.neededWay(), 0, e.unit(), false)));
        if (e.splitAssumed()) {
            lines.add(say("evidence.move.split"));
        }
        return new Told(
                steps.adjuster(e.adjuster()),
                Optional.of(e.credit() == 1),
                lines,
                List.of(),
                e.slip().map(s -> List.of(say("slip." + s))).orElse(List.of()),
                Optional.empty());
    }

    private String amount(Way way, double amount, String unit, boolean withAmount) {
        String said = say("way." + way.key());
        return way == Way.LEAVE || !withAmount || amount == 0
                ? said
                : say("move", said, words.turns(amount), say("adjusterUnit." + unit));
    }

    private Told asLeft(Evidence.AsLeft e) {
        String key = "evidence.asLeft." + (e.again() ? "again." : "") + (e.accepted() ? "accepted" : "refused");
        return Told.of(
                        words.name(e.figure()),
                        e.accepted(),
                        say(
                                key,
                                words.figure(e.reference().value(), e.figure()),
                                say("zone." + e.zone().key())))
                .with(ToleranceRule.of(
                        e.figure(), e.reference().value(), e.reference().doubt(), e.limits(), e.zone()));
    }

    private List<String> slips(List<Set<String>> slips) {
        return slips.stream()
                .map(set -> set.stream()
                        .sorted()
                        .map(s -> say("slip." + s))
                        .collect(Collectors.joining(" " + say("and") + " ")))
                .toList();
    }

    private String say(String key, Object... args) {
        return words.text(key, args);
    }
}
