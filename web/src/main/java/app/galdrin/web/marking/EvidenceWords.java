package app.galdrin.web.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.TargetReading;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.web.sketch.ToleranceRule;
import app.galdrin.web.words.TargetWords;
import app.galdrin.web.words.Words;
import app.galdrin.web.words.WorkingWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says what a mark rests on, with the apprentice's own numbers. */
@Component
public class EvidenceWords {

    private final Words words;
    private final WorkingWords working;
    private final WorkingEvidenceWords worked;
    private final TargetWords targets;
    private final PlanWords plans;
    private final SlipWords slips;
    private final ReferenceWords references;

    EvidenceWords(
            Words words,
            WorkingWords working,
            WorkingEvidenceWords worked,
            TargetWords targets,
            PlanWords plans,
            SlipWords slips,
            ReferenceWords references) {
        this.references = references;
        this.words = words;
        this.working = working;
        this.worked = worked;
        this.targets = targets;
        this.plans = plans;
        this.slips = slips;
    }

    public List<EvidenceText> tell(List<Evidence> evidence) {
        var printed = PrintedTotals.of(evidence, words);
        return EvidenceText.explainedOnce(
                evidence.stream().map(e -> tell(e, printed)).toList());
    }

    /** The same, and behind each worked figure the way to it with the apprentice's own readings. */
    public List<EvidenceText> tellWorkedThrough(MarkLine line, Assignment assignment, Answers answers) {
        var own = new OwnFigures(assignment, answers);
        var printed = PrintedTotals.of(line.evidence(), words);
        Set<FigureId> figures = line.evidence().stream()
                .filter(WorkingEvidence.class::isInstance)
                .map(e -> ((WorkingEvidence) e).figure())
                .collect(Collectors.toSet());
        return EvidenceText.explainedOnce(line.evidence().stream()
                .map(e -> {
                    if (e instanceof Evidence.JudgedFigure j) {
                        return judged(j, inHisUnit(assignment, line.criterion().step(), j));
                    }
                    EvidenceText text = tell(e, printed);
                    return e instanceof WorkingEvidence w
                            ? worked.through(text, w, baseline(assignment, own, w), figures)
                            : text;
                })
                .toList());
    }

    private static double baseline(Assignment assignment, OwnFigures own, WorkingEvidence e) {
        return own.baseline(assignment.practical().measure(e.from()).orElseThrow());
    }

    private EvidenceText tell(Evidence evidence, PrintedTotals printed) {
        if (evidence instanceof Evidence.MissingEntry e) {
            return missing(e);
        }
        if (evidence instanceof Evidence.Item e) {
            return item(e);
        }
        if (evidence instanceof Evidence.GivenReason e) {
            return why(e);
        }
        if (evidence instanceof Evidence.Answer e) {
            return answer(e);
        }
        if (evidence instanceof ReadingEvidence e) {
            return reading(e, printed);
        }
        if (evidence instanceof Evidence.Repeats e) {
            return repeats(e);
        }
        if (evidence instanceof WorkingEvidence e) {
            return worked.text(e, printed.honest(e));
        }
        if (evidence instanceof Evidence.Target e) {
            return target(e);
        }
        if (evidence instanceof Evidence.JudgedFigure e) {
            return judged(e, "");
        }
        if (evidence instanceof Evidence.FigureComparison e) {
            return compared(e);
        }
        if (evidence instanceof Evidence.CanBeAdjusted e) {
            return adjustable(e);
        }
        return ofTheVehicle(evidence);
    }

    private EvidenceText missing(Evidence.MissingEntry e) {
        String subject = e.subject().isEmpty() ? "" : plans.name(e.subject());
        String line = subject.isEmpty()
                ? say("lack." + e.what().key())
                : say("lack.of", say("lack." + e.what().key()), subject);
        return EvidenceText.missing(
                say("missing"), e.readings().isEmpty() ? line : line + " " + worked.unread(e.readings()));
    }

    private EvidenceText compared(Evidence.FigureComparison e) {
        return EvidenceText.of(
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

    private EvidenceText adjustable(Evidence.CanBeAdjusted e) {
        return EvidenceText.of(
                say("judge.adjustable", plans.name(e.adjustment())),
                e.said() == e.actual(),
                say(
                        "evidence.adjustable",
                        say("adjustable." + e.said().key()),
                        say("adjustable.is." + e.actual().key())));
    }

    /** Returns what was planned and moved, how long it took, and how the vehicle was left. */
    private EvidenceText ofTheVehicle(Evidence evidence) {
        if (evidence instanceof Evidence.Effect e) {
            return plans.effect(e);
        }
        if (evidence instanceof Evidence.Move e) {
            return plans.move(e);
        }
        if (evidence instanceof Evidence.Sequence e) {
            return plans.sequence(e);
        }
        if (evidence instanceof Evidence.NoMove e) {
            return plans.noMove(e);
        }
        if (evidence instanceof Evidence.TimeTaken e) {
            return EvidenceText.of(
                    say("aspect.time"),
                    e.credit() == 1,
                    say(
                            "evidence.time",
                            Math.round(e.taken()),
                            e.limit(),
                            Math.round(e.limit() + e.band().none())));
        }
        if (evidence instanceof Evidence.NotAdjustable e) {
            return EvidenceText.of(
                            words.name(e.figure()),
                            e.credit() == 1,
                            say(
                                    "evidence.notAdjustable."
                                            + (e.credit() == 1 ? "reported" : e.found() ? "found" : "missed"),
                                    words.figure(e.reference().value(), e.figure()),
                                    say("zone." + e.zone().key())))
                    .with(ToleranceRule.of(
                            e.figure(), e.reference().value(), e.reference().doubt(), e.limits(), e.zone()));
        }
        return asLeft((Evidence.AsLeft) evidence);
    }

    private String item(String id) {
        return words.item(id);
    }

    private EvidenceText item(Evidence.Item e) {
        EvidenceText text =
                EvidenceText.of(item(e.item()), e.credit() == 1, say(e.done() ? "item.done" : "item.notDone"));
        return e.before().map(id -> text.also(say("item.tooEarly", item(id)))).orElse(text);
    }

    /** Says which key words a reason has. The expected words are shown too, because a person sees what a word list cannot. */
    private EvidenceText why(Evidence.GivenReason e) {
        List<String> lines = new ArrayList<>();
        lines.add(e.answer().map(answer -> say("evidence.why.answer", answer)).orElseGet(() -> say("lack.why")));
        e.reasons()
                .forEach(reason -> lines.add(say(
                        reason.found() ? "evidence.why.found" : "evidence.why.notFound",
                        String.join(say("evidence.why.or"), reason.words()))));
        return EvidenceText.of(say("evidence.why", item(e.item())), e.credit() == 1, lines);
    }

    /** Says what was answered, what is right where that is something else, and what else there is to say. */
    private EvidenceText answer(Evidence.Answer e) {
        boolean isRight = e.credit() == 1;
        List<String> lines = new ArrayList<>();
        lines.add(e.written()
                .map(written -> say("evidence.answer", answered(e, written)))
                .orElseGet(() -> say("evidence.answer.none")));
        if (!isRight) {
            lines.add(say("evidence.answer.right", answered(e, e.right())));
        }
        if (!e.remark().isEmpty()) {
            lines.add(say("evidence.remark." + e.remark()));
        }
        return EvidenceText.of(words.textOr(e.family() + ".of", "item.own", item(e.asked())), isRight, lines);
    }

    private String answered(Evidence.Answer e, String answer) {
        return e.family().isEmpty() ? answer : words.textOr(e.family() + "." + answer, "item.own", answer);
    }

    private EvidenceText reading(ReadingEvidence e, PrintedTotals printed) {
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.reading",
                words.figure(printed.own(e), e.figure()),
                words.figure(printed.reference(e), e.figure()),
                words.doubt(Math.abs(e.difference()), e.figure()),
                band(e.band(), e.figure())));
        if (e.credit() > 0
                && e.credit() < 1
                && e.taken() == e.asked()
                && e.band().steps().isEmpty()) {
            lines.add(say("evidence.band.line", Math.round(100 * e.credit())));
        }
        if (e.widened()) {
            lines.add(say("evidence.reading.widened", words.doubt(e.promised(), e.figure())));
        }
        if (!e.parts().isEmpty()) {
            lines.add(references.rests(e.parts(), e.reference(), e.figure()));
        }
        if (e.taken() < e.asked()) {
            lines.add(say("evidence.reading.taken", e.taken(), e.asked()));
        }
        e.doubtFrom()
                .ifPresent(from -> lines.add(say(
                        "evidence.reading.doubt",
                        words.doubt(e.own().doubt(), e.figure()),
                        working.doubt(from.group(), from.share()))));
        if (e.possible() && !e.slips().isEmpty()) {
            lines.add(say(e.slips().size() > 1 ? "slip.possible" : "slip.possible.reading", slips.names(e.slips())));
        }
        return EvidenceText.of(words.name(e.figure()), e.credit() == 1, lines)
                .slipped(e.possible() ? List.of() : slips.all(e.slips(), e.figure(), e.places()));
    }

    private EvidenceText repeats(Evidence.Repeats e) {
        String each = e.each().stream().map(v -> words.figure(v, e.figure())).collect(Collectors.joining(", "));
        return EvidenceText.of(
                words.name(e.figure()),
                e.credit() == 1,
                say("evidence.repeats", each, words.doubt(e.range(), e.figure()), band(e.band(), e.figure())));
    }

    private String band(Band band, FigureId figure) {
        String full = words.doubt(band.full(), figure);
        return band.steps().isEmpty()
                ? say("evidence.band", full, words.doubt(band.none(), figure))
                : say(
                        "evidence.band.steps",
                        full,
                        band.steps().stream()
                                .map(step ->
                                        say("evidence.band.step", words.doubt(step.within(), figure), step.percent()))
                                .collect(Collectors.joining(", ")));
    }

    private EvidenceText target(Evidence.Target e) {
        var procedure = Procedures.named(e.procedure()).orElseThrow();
        var reading = new TargetReading(procedure.place(e.place()), e.against().map(procedure::place), e.honest());
        boolean right = e.credit() == 1;
        return EvidenceText.of(
                say("evidence.target", targets.name(reading)),
                right,
                say(
                        right ? "evidence.working.right" : "evidence.working.wrong",
                        targets.value(reading, e.written()),
                        targets.value(reading, e.honest())));
    }

    /** Returns the written figure in brackets if it was asked in another unit than the sheet's. */
    private String inHisUnit(Assignment assignment, String step, Evidence.JudgedFigure e) {
        return assignment
                .practical()
                .worked(e.figure(), step)
                .filter(item -> e.shown().filter(s -> s.unit() != item.unit()).isPresent())
                .flatMap(item -> assignment
                        .practical()
                        .measure(item.from())
                        .map(from -> say(
                                "evidence.verdict.worked",
                                words.answer(
                                        item.unit()
                                                .ofFigure(
                                                        e.own().value(),
                                                        e.figure(),
                                                        from.procedure()
                                                                .baseline()
                                                                .apply(assignment.standing())
                                                                .orElse(1.0)),
                                        item.unit()))))
                .orElse("");
    }

    private EvidenceText judged(Evidence.JudgedFigure e, String inHisUnit) {
        boolean right = e.right().contains(e.said());
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.verdict",
                verdict(e.said()),
                e.shown()
                                .map(s -> words.answer(s.value(), s.unit()))
                                .orElseGet(() -> words.figure(e.own().value(), e.figure()))
                        + inHisUnit,
                e.shown()
                        .map(s -> words.answerDoubt(s.expanded(), s.unit()))
                        .orElseGet(() -> words.doubt(Judgement.K * e.own().doubt(), e.figure())),
                say("zone." + e.zone().key())));
        if (!right) {
            lines.add(say(
                    "evidence.verdict.right",
                    e.right().stream().map(this::verdict).collect(Collectors.joining(" " + say("or") + " "))));
            lines.add(say("evidence.verdict.rule." + e.rule().key()));
        }
        e.line().ifPresent(line -> lines.add(plans.thrustLine(line)));
        if (e.possible() && !e.slips().isEmpty()) {
            lines.add(say("slip.possible.one", slips.names(e.slips())));
        }
        return EvidenceText.of(words.name(e.figure()), right, lines)
                .slipped(e.possible() ? List.of() : slips.all(e.slips(), e.figure()))
                .with(ToleranceRule.of(e.figure(), e.own().value(), e.own().doubt(), e.limits(), e.zone()));
    }

    private String verdict(Verdict verdict) {
        return say("verdict." + verdict.key());
    }

    private EvidenceText asLeft(Evidence.AsLeft e) {
        // what the sheet allows and the task does not is no matter of the sheet
        boolean said = e.accepted() || e.aimed();
        String read = e.parts().isEmpty() ? e.again() ? "again." : "" : "together.";
        String key = "evidence.asLeft." + read + (said ? "accepted" : "refused");
        EvidenceText text = EvidenceText.of(
                        words.name(e.figure()),
                        e.accepted(),
                        say(
                                key,
                                words.figure(e.reference().value(), e.figure()),
                                say("zone." + e.zone().key())))
                .with(ToleranceRule.of(
                        e.figure(), e.reference().value(), e.reference().doubt(), e.limits(), e.zone()));
        EvidenceText resting =
                e.parts().isEmpty() ? text : text.also(references.rests(e.parts(), e.reference(), e.figure()));
        EvidenceText counted =
                e.line().map(line -> resting.also(plans.thrustLine(line))).orElse(resting);
        EvidenceText ruled = e.accepted() ? counted : counted.also(say("evidence.asLeft.rule"));
        return e.aimed() ? ruled.also(say("evidence.asLeft.aimed." + (e.accepted() ? "met" : "missed"))) : ruled;
    }

    private String say(String key, Object... args) {
        return words.text(key, args);
    }
}
