package app.galdrin.web.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.marking.IntermediateMark;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.record.Step;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.web.words.Words;
import app.galdrin.web.words.WorkingWords;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says how a figure was worked: right, near or by which slip, the figures on the way, and the steps with the apprentice's readings. */
@Component
class WorkingEvidenceWords {

    /** Places that were not read, before the rest is only counted. */
    private static final int MOST_NAMED = 6;

    private final Words words;
    private final WorkingWords working;
    private final SlipWords slips;

    WorkingEvidenceWords(Words words, WorkingWords working, SlipWords slips) {
        this.words = words;
        this.working = working;
        this.slips = slips;
    }

    /**
     * Adds the way to a worked figure with the apprentice's own readings.
     *
     * @param baseline of an answer in millimetres, mm
     * @param beside the figures that are worked beside it
     */
    EvidenceText through(EvidenceText text, WorkingEvidence e, double baseline, Set<FigureId> beside) {
        return withMean(text, baseline, e).calculated(repeats(e, beside));
    }

    /**
     * Says what a worked figure was marked by.
     *
     * @param honest what an honest sheet has, in the unit of the answer
     */
    EvidenceText text(WorkingEvidence e, double honest) {
        boolean sum = e.figure().measurand().form() == Measurand.Form.SUM;
        String how =
                e.addedUp() ? (sum ? "addedUp" : "follows") : e.right() ? right(e) : e.near() ? near(e) : onTheWay(e);
        AnswerUnit unit = e.unit();
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.working." + how,
                words.answer(e.written(), unit),
                words.answer(honest, unit),
                words.answerDoubt(unit.step(), unit),
                words.answerDoubt(2 * unit.step(), unit),
                e.rounded().map(r -> words.answer(r, unit)).orElse("")));
        if (!e.unread().isEmpty()) {
            lines.add(unread(e.unread()));
        }
        if (!e.right()) {
            e.way().forEach(step -> lines.add(onTheWay(step)));
        }
        if (e.possible()) {
            lines.add(say(e.slips().size() > 1 ? "slip.possible" : "slip.possible.pen", slips.names(e.slips())));
        }
        return EvidenceText.of(words.name(e.figure()), e.right(), lines)
                .slipped(e.possible() ? List.of() : slips.all(e.slips(), e.figure()));
    }

    private static String right(WorkingEvidence e) {
        return !e.unread().isEmpty() ? "unread" : e.rounded().isPresent() ? "rounded" : "right";
    }

    private static String near(WorkingEvidence e) {
        return e.way().isEmpty() ? "near" : "nearOnTheWay";
    }

    private static String onTheWay(WorkingEvidence e) {
        boolean carries = e.slips().isEmpty() && e.credit() > 0;
        return !carries ? "wrong" : e.followsWay() ? "way" : "wayOnly";
    }

    private String onTheWay(IntermediateMark step) {
        String name = say("intermediate." + step.what().key());
        String honest = intermediate(step.what(), step.honest());
        return step.wrote()
                .map(wrote -> {
                    String how = step.credit() == 1 ? "right" : step.credit() > 0 ? "near" : "wrong";
                    return say("evidence.way." + how, name, intermediate(step.what(), wrote), honest);
                })
                .orElseGet(() -> say("evidence.way.missing", name, honest));
    }

    /** mm, deg or a number. */
    private String intermediate(Intermediate what, double value) {
        return switch (what.unit().quantity()) {
            case LENGTH -> words.length(value);
            case ANGLE -> words.answer(value, AnswerUnit.DEGREES);
            case COUNT, TORQUE, PRESSURE -> QuantityFormat.decimal(value, 2, false);
        };
    }

    /** Returns the figure that the repeats give where it was worked wrong: their mean. */
    private EvidenceText withMean(EvidenceText text, double baseline, WorkingEvidence e) {
        List<String> each = e.steps().stream()
                .filter(steps -> !steps.isEmpty())
                .map(steps -> steps.get(steps.size() - 1).out().value())
                .map(v -> words.answer(e.unit().ofFigure(v, e.figure(), baseline), e.unit()))
                .toList();
        return e.credit() == 1 || each.size() < 2
                ? text
                : text.also(say("evidence.working.mean", String.join(", ", each), words.answer(e.honest(), e.unit())));
    }

    /** The steps to a figure, repeat by repeat; of a sum that stands beside its two wheels nothing but itself is shown. */
    private List<EvidenceText.Repeat> repeats(WorkingEvidence e, Set<FigureId> beside) {
        boolean partsStandBeside = e.figure().ofBothWheels()
                && beside.stream()
                        .anyMatch(f -> f.measurand() == e.figure().measurand().base());
        List<EvidenceText.Repeat> repeats = new ArrayList<>();
        for (List<Step> steps : e.steps()) {
            if (!steps.isEmpty()) {
                List<Step> shown = partsStandBeside ? steps.subList(steps.size() - 1, steps.size()) : steps;
                repeats.add(new EvidenceText.Repeat(
                        say("calc.repeat", repeats.size() + 1),
                        shown.stream().map(step -> calculated(step, e)).toList()));
            }
        }
        return repeats;
    }

    private EvidenceText.CalculationLine calculated(Step step, WorkingEvidence e) {
        // a slip that is only possible is not pointed at
        Set<String> keys = e.possible()
                ? Set.of()
                : e.slips().stream().flatMap(Set::stream).collect(Collectors.toSet());
        return new EvidenceText.CalculationLine(
                working.calculation(step),
                Slips.all().stream()
                        .filter(slip -> keys.contains(slip.key()) && slip.isMadeAt(step.formula()))
                        .map(slip -> slips.name(slip.key()))
                        .findFirst());
    }

    /** The places, each with its repeats; the rest by number. */
    String unread(List<MissingReading> readings) {
        Map<String, List<Integer>> byPlace = new LinkedHashMap<>();
        for (MissingReading one : readings) {
            var place = Procedures.named(one.procedure()).orElseThrow().place(one.place());
            byPlace.computeIfAbsent(
                            words.text(place.words(), words.text(place.wheelWords())), name -> new ArrayList<>())
                    .add(one.repeat());
        }
        String named = byPlace.entrySet().stream()
                .limit(MOST_NAMED)
                .map(e -> e.getValue().equals(List.of(0))
                        ? e.getKey()
                        : say(
                                "unread.repeats",
                                e.getKey(),
                                e.getValue().stream().map(String::valueOf).collect(Collectors.joining(", "))))
                .collect(Collectors.joining("; "));
        int more = byPlace.size() - MOST_NAMED;
        return more > 0 ? say("unread.more", named, more) : say("unread", named);
    }

    private String say(String key, Object... args) {
        return words.text(key, args);
    }
}
