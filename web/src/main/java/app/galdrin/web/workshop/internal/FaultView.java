package app.galdrin.web.workshop.internal;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.fault.FaultPlan;
import app.galdrin.core.fault.FaultPlan.FigureAfter;
import app.galdrin.core.fault.FaultPlan.Moves;
import app.galdrin.core.fault.FaultPlan.Reason;
import app.galdrin.core.fault.FaultPlan.Refusal;
import app.galdrin.core.fault.FaultSight;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.simulated.ProvokedSlip;
import app.galdrin.core.simulated.SlipProbe;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.words.PartWords;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import app.galdrin.web.workshop.internal.FaultDesk.KnownFigures;
import app.galdrin.web.workshop.internal.FaultDesk.WorkedFault;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Makes what the page and the papers of a fault show. */
@Component
class FaultView {

    /** Two standard uncertainties hold 95 of 100. */
    private static final int COVERAGE = 2;

    private final Words words;
    private final StepWords names;
    private final PartWords parts;

    FaultView(Words words, StepWords names) {
        this.words = words;
        this.names = names;
        this.parts = new PartWords(words);
    }

    /**
     * A figure that can be asked for.
     *
     * @param now what it reads, with its uncertainty
     * @param fault why what was typed cannot be read; null where it can
     */
    record Row(
            String key,
            String name,
            String now,
            boolean isAssumed,
            String size,
            String sense,
            List<String> senses,
            @Nullable Sentence fault) {}

    /**
     * A fault that can be set.
     *
     * @param turn what to turn, a sentence a part; {@code back} the same the other way round
     */
    record Plan(List<String> turn, List<AfterRow> after, List<SightRow> sights, List<String> back) {}

    /**
     * A figure before and after.
     *
     * @param zone end of the key of where it lies afterwards; empty where the sheet has no limits
     */
    record AfterRow(String name, String before, String after, String zone, boolean isWanted) {}

    /** View that a step has of a figure's change; {@code misses} is what it can miss. */
    record SightRow(String step, String figure, String change, String misses, boolean isSeen) {}

    /** Returns the rows of a form. */
    List<Row> rows(SpecificationSheet sheet, KnownFigures now, FaultForm form, Map<String, Sentence> faults) {
        return FaultDesk.asked(sheet).stream()
                .map(figure -> new Row(
                        figure.key(),
                        words.name(figure),
                        Optional.ofNullable(now.values().get(figure))
                                .map(value -> said(value, figure))
                                .orElse(""),
                        now.assumed().contains(figure),
                        form.size(figure),
                        form.sense(figure),
                        FaultForm.senses(figure).stream().map(Sense::key).toList(),
                        faults.get(figure.key())))
                .toList();
    }

    private String said(Estimate value, FigureId figure) {
        return words.text(
                "setFault.value",
                words.figure(value.value(), figure),
                words.doubt(COVERAGE * value.standardUncertainty(), figure));
    }

    /** Returns a fault that can be set in words; empty where it cannot. */
    Optional<Plan> plan(Assignment assignment, WorkedFault worked) {
        if (!(worked.plan() instanceof Moves moves) || !worked.isSeen()) {
            return Optional.empty();
        }
        SpecificationSheet sheet = assignment.sheet();
        return Optional.of(new Plan(
                turned(sheet, moves.moves()),
                after(assignment, moves),
                worked.sights().stream().map(sight -> sight(assignment, sight)).toList(),
                turned(sheet, moves.moves().back())));
    }

    /** The figures that change, before and after; on one page a total adds up from its printed wheels. */
    private List<AfterRow> after(Assignment assignment, Moves moves) {
        Map<FigureId, Estimate> before = new LinkedHashMap<>();
        Map<FigureId, Estimate> after = new LinkedHashMap<>();
        moves.figures().forEach(figure -> {
            before.put(figure.figure(), figure.before());
            after.put(figure.figure(), figure.after());
        });
        Map<FigureId, Estimate> printedBefore = words.printed(before);
        Map<FigureId, Estimate> printedAfter = words.printed(after);
        return moves.figures().stream()
                .filter(figure -> moves.moves().change(figure.figure()) != 0)
                .map(figure -> new AfterRow(
                        words.name(figure.figure()),
                        said(Objects.requireNonNull(printedBefore.get(figure.figure())), figure.figure()),
                        said(Objects.requireNonNull(printedAfter.get(figure.figure())), figure.figure()),
                        zone(assignment, figure),
                        figure.isWanted()))
                .toList();
    }

    /** Returns a sentence a part: which way, how far, what to slacken and what to tighten. */
    List<String> turned(SpecificationSheet sheet, PartMoves moves) {
        List<String> sentences = new ArrayList<>();
        moves.units()
                .forEach((part, units) -> sentences.add(words.text(
                        "vehicle.wayBack.written",
                        names.adjuster(part.id()),
                        parts.move(part, units),
                        String.join(" ", parts.steps(sheet, part)))));
        return sentences;
    }

    /** Returns the end of the key of a mark: inside, outside or too close to tell; empty where the sheet has no limits. */
    private static String zone(Assignment assignment, FigureAfter figure) {
        return assignment
                .limits(figure.figure())
                .map(limits -> assignment
                        .scale(figure.figure())
                        .judge(
                                figure.figure(),
                                figure.after(),
                                limits,
                                assignment.practical().rule())
                        .zone())
                .map(zone -> zone.inDoubt() ? "tooClose" : zone.key())
                .orElse("");
    }

    private SightRow sight(Assignment assignment, FaultSight sight) {
        return new SightRow(
                names.title(assignment.practical().step(sight.step()).orElseThrow()),
                words.name(sight.figure()),
                words.figure(sight.change(), sight.figure()),
                words.doubt(sight.expanded(), sight.figure()),
                sight.isSeen());
    }

    /** Slip of a list to choose from: its key in the form, and the step and the slip in words. */
    record SlipChoice(String key, String words) {}

    /** Returns the slips that a drawn fault can be asked to show. */
    List<SlipChoice> slips(Assignment assignment) {
        return SlipProbe.slips(assignment).stream()
                .map(slip -> new SlipChoice(slip.key(), words(slip, assignment)))
                .toList();
    }

    private String words(ProvokedSlip slip, Assignment assignment) {
        String where = title(slip.step(), assignment);
        String what = words.text("slip." + slip.slip());
        return slip.measure().isEmpty() || slip.measure().equals(slip.step())
                ? words.text("setFault.slip.choice", where, what)
                : words.text("setFault.slip.worked", where, what, title(slip.measure(), assignment));
    }

    private String title(String step, Assignment assignment) {
        return names.title(assignment.practical().step(step).orElseThrow());
    }

    /** Returns why a fault cannot be set, a sentence a reason. */
    List<Sentence> refusals(WorkedFault worked) {
        if (worked.plan() instanceof Refusal refusal) {
            return refusal.reasons().stream().map(this::why).toList();
        }
        return worked.isSeen() ? List.of() : List.of(Sentence.of("setFault.unseen"));
    }

    private Sentence why(Reason reason) {
        if (reason instanceof Reason.NotRead no) {
            return Sentence.of("setFault.notRead", words.name(no.figure()));
        }
        if (reason instanceof Reason.NotMoved no) {
            return Sentence.of("setFault.notMoved", words.name(no.figure()));
        }
        if (reason instanceof Reason.LittleThread no) {
            return Sentence.of(
                    "setFault.littleThread",
                    names.adjuster(no.part().id()),
                    words.amount(no.longer(), no.part().unit()),
                    words.amount(no.spare(), no.part().unit()));
        }
        if (reason instanceof Reason.BeyondRange no) {
            return Sentence.of(
                    "setFault.beyondRange",
                    names.adjuster(no.part().id()),
                    words.amount(
                            Math.ceil(no.needed() / no.part().smallestStep())
                                    * no.part().smallestStep(),
                            no.part().unit()),
                    words.amount(no.part().most(), no.part().unit()),
                    words.text("adjusterUnit." + no.part().unit().key()));
        }
        if (reason instanceof Reason.NotReached no) {
            return Sentence.of("setFault.notReached", words.name(no.figure()), words.figure(no.nearest(), no.figure()));
        }
        if (reason instanceof Reason.Unsafe no) {
            return Sentence.of("setFault.unsafe", words.name(no.figure()), words.figure(no.value(), no.figure()));
        }
        return Sentence.of("setFault.nothingWanted");
    }

    /** Returns a form with a drawn fault in its fields, as exact as a field holds it; empty where none is found. */
    Optional<FaultForm> drawn(FaultDesk desk, TaskVersion task, TaskBay place, KnownFigures now, FaultForm form) {
        return desk.draw(task, place, now, form).map(request -> {
            FaultForm filled = form.withoutFigures();
            for (Map.Entry<FigureId, Double> figure : request.wanted().entrySet()) {
                filled = filled.with(figure.getKey(), words.angleSize(figure.getValue()), figure.getValue());
            }
            return filled;
        });
    }

    /** The moves of a fault that can be set. */
    static Optional<PartMoves> moves(FaultPlan plan) {
        return plan instanceof Moves moves ? Optional.of(moves.moves()) : Optional.empty();
    }
}
