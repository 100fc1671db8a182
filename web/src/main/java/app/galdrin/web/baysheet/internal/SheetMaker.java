package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Comparison;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.StepWords;
import app.galdrin.web.layout.TargetWords;
import app.galdrin.web.layout.Words;
import app.galdrin.web.marking.EvidenceText;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.StaffLine;
import app.galdrin.web.sitting.Tape;
import app.galdrin.web.sitting.Works;
import app.galdrin.web.sketch.PairRule;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Makes the views of a sheet; each step is made by itself, so that one that is asked for alone costs itself alone. */
final class SheetMaker {

    private final Sitting sitting;
    private final Assignment assignment;
    private final Log log;
    private final Answers answers;
    private final Sheet sheet;
    private final Fields fields;
    private final OwnFigures own;
    private final Words words;
    private final StepWords names;
    private final TargetWords targets;
    private final EvidenceWords evidence;
    private final Facts facts;
    private final MeasureMaker measures;
    private final AdjustMaker adjusting;
    private final boolean speaks;

    /** What a sheet is made of. */
    record OfSheet(Assignment assignment, Log log, Sheet sheet, Fields fields, OwnFigures own) {}

    /** The words a sheet is made with. */
    record Speech(Words words, StepWords names, TargetWords targets, EvidenceWords evidence) {}

    SheetMaker(Sitting sitting, Assignment assignment, Log log, Map<LineKey, Fields.Refusal> refused, Speech speech) {
        this.sitting = sitting;
        this.assignment = assignment;
        this.log = log;
        this.answers = log.answers();
        this.sheet = Works.sheet(sitting);
        this.words = speech.words();
        this.names = speech.names();
        this.targets = speech.targets();
        this.evidence = speech.evidence();
        this.facts = new Facts(assignment.standing(), words);
        this.fields = new Fields(sheet, log, words, refused);
        this.own = new OwnFigures(assignment, answers);
        this.speaks = sitting.isReference() || assignment.practical().mode() == Mode.PRACTICE;
        var written = new OfSheet(assignment, log, sheet, fields, own);
        this.measures = new MeasureMaker(sitting, written, words, speaks);
        this.adjusting = new AdjustMaker(written, measures, speech, facts, speaks);
    }

    /** The steps of this sitting: all of the task, or of a reference the measurements of its state. */
    List<Step> steps() {
        if (!sitting.isReference()) {
            return assignment.practical().steps();
        }
        List<Step> measures = new ArrayList<>();
        for (Step step : assignment.practical().steps()) {
            if (sitting.stateRound() == 0 && step instanceof Measure) {
                measures.add(step);
            } else if (sitting.stateRound() > 0) {
                measures.addAll(step.within());
            }
        }
        return measures;
    }

    /** The first step that is not complete, else the last. */
    Step next() {
        List<Step> steps = steps();
        return steps.stream().filter(s -> !progress(s).complete()).findFirst().orElse(steps.get(steps.size() - 1));
    }

    private Sheet.Progress progress(Step step) {
        if (!sitting.isReference()) {
            return sheet.progress(step, answers);
        }
        List<LineKey> keys = sheet.keys(step, sitting.stateRound());
        int done = (int) keys.stream().filter(k -> sheet.isFilled(k, answers)).count();
        return new Sheet.Progress(done, keys.size());
    }

    SheetPage page(String shown, BlankSheets blank) {
        boolean isBlank = log.lastSeq() == 0 && !fields.anyRefused();
        List<StepView> views = isBlank ? blank.steps(asBlank(), this::views) : views();
        List<String> disputed = log.disputed().stream()
                .filter(key -> !StaffLine.isOutsideTask(key)) // of calls from before they saw one another
                .map(key -> assignment
                        .practical()
                        .step(key.step())
                        .map(names::title)
                        .orElse(key.step()))
                .distinct()
                .toList();
        return new SheetPage(
                sitting,
                views,
                shown,
                Ids.next(),
                log.lastSeq(),
                disputed,
                log.stopped().orElse(""));
    }

    private BlankSheets.BlankSheetKey asBlank() {
        return new BlankSheets.BlankSheetKey(
                sitting.task().id(),
                sitting.sheet().id(),
                assignment.floor(),
                sitting.isReference(),
                sitting.stateRound(),
                Words.displays());
    }

    private List<StepView> views() {
        List<StepView> views = new ArrayList<>();
        for (Step step : steps()) {
            views.add(view(step, views.size() + 1));
        }
        return List.copyOf(views);
    }

    StepView view(Step step) {
        return view(step, steps().indexOf(step) + 1);
    }

    private StepView view(Step step, int number) {
        StepView.Head head = head(step, number);
        if (step instanceof Checklist checklist) {
            return new ChecklistView(
                    head,
                    checklist.items().stream().map(i -> item(checklist, i)).toList());
        }
        if (step instanceof Measure measure) {
            return measures.of(head, measure, sitting.isReference() ? sitting.stateRound() : 0);
        }
        if (step instanceof Work work) {
            return work(head, work);
        }
        if (step instanceof Judge judge) {
            return judge(head, judge);
        }
        if (step instanceof Plan plan) {
            return adjusting.plan(head, plan);
        }
        return step instanceof Round round ? adjusting.round(head, round) : handIn(head, (HandIn) step);
    }

    private ChecklistView.Item item(Checklist list, Checklist.Item item) {
        return new ChecklistView.Item(
                item.id(),
                fields.at(LineKey.of(list.id(), item.id())),
                item.inTurn(),
                item.why().isEmpty()
                        ? Optional.empty()
                        : Optional.of(fields.at(LineKey.of(list.id(), item.whyLine()))));
    }

    private StepView.Head head(Step step, int number) {
        var lines = sheet.lines(step);
        return new StepView.Head(
                step,
                number,
                names.title(step),
                progress(step),
                lines.stream().anyMatch(l -> l.critical()),
                lines.stream().anyMatch(l -> l.witnessed()),
                speaks && !sitting.isReference() ? told(step) : List.of(),
                log.struckIn(step.id()).stream()
                        .map(fields::said)
                        .filter(w -> !w.isEmpty())
                        .toList());
    }

    /** In practice the same marking speaks at once; what is not written yet needs no reminder here. */
    private List<EvidenceText> told(Step step) {
        if (!(step instanceof Work || step instanceof Judge || step instanceof Plan)) {
            return List.of();
        }
        List<Evidence> all = Marker.mark(assignment, answers, References.none()).lines().stream()
                .filter(l -> l.criterion().step().equals(step.id()))
                .flatMap(l -> l.evidence().stream())
                .filter(e -> !(e instanceof Evidence.MissingEntry))
                .toList();
        return evidence.tell(all);
    }

    // ---- working, judging, planning

    private WorkView work(StepView.Head head, Work work) {
        List<WorkView.Item> items = work.asked().stream()
                .map(item -> new WorkView.Item(
                        item,
                        words.name(item.figure()),
                        fields.worked(LineKey.of(work.id(), item.figure().key()), item),
                        via(work, item)))
                .toList();
        List<WorkView.Readings> readings = work.asked().stream()
                .map(Work.Item::from)
                .distinct()
                .map(from -> assignment.practical().measure(from).orElseThrow())
                .map(this::readings)
                .toList();
        List<WorkView.TargetItem> wanted = work.targets().stream()
                .flatMap(target -> target.on(assignment.sheet()).stream()
                        .map(reading -> new WorkView.TargetItem(
                                targets.name(reading), fields.at(LineKey.of(work.id(), target.line(reading))))))
                .toList();
        return new WorkView(head, items, wanted, readings, Tape.of(log, work.id()));
    }

    private List<WorkView.Via> via(Work work, Work.Item item) {
        return item.steps().stream()
                .map(step -> new WorkView.Via(
                        words.text(
                                "intermediate.of", words.text("intermediate." + step.key()), words.name(item.figure())),
                        step.unit().quantity().key(),
                        fields.at(LineKey.of(work.id(), item.line(step)))))
                .toList();
    }

    private WorkView.Readings readings(Measure measure) {
        return new WorkView.Readings(
                measures.of(head(measure, 0), measure, 0),
                words.text("work." + measure.procedure().key() + ".how." + measure.taught()),
                facts.of(measure, own.standing(measure, 0)));
    }

    private JudgeView judge(StepView.Head head, Judge judge) {
        var shown = OfHisSheet.standing(own, judge.figures(), judge.id(), speaks, words);
        return new JudgeView(
                head,
                "judge.explain." + assignment.practical().rule().key(),
                judge.figures().stream()
                        .map(figure -> judged(judge, figure, Optional.ofNullable(shown.get(figure))))
                        .toList(),
                Practical.adjustments(judge.figures()).stream()
                        .filter(a -> sheet.line(LineKey.of(judge.id(), Judge.ADJUSTABLE + a.key()))
                                .isPresent())
                        .map(a -> new JudgeView.AdjustedGroup(
                                names.adjustment(a), fields.at(LineKey.of(judge.id(), Judge.ADJUSTABLE + a.key()))))
                        .toList(),
                judge.compared().stream()
                        .flatMap(f -> assignment.practical().comparison(f, judge.id()).stream())
                        .map(c -> compared(judge, c))
                        .toList());
    }

    private JudgeView.ComparedFigure compared(Judge judge, Comparison c) {
        FigureId figure = c.figure();
        boolean shown = speaks || own.ofHisOwn(figure, judge.id()).isPresent();
        Optional<Estimate> first = own.mean(c.first(), 0, figure).filter(v -> shown);
        Optional<Estimate> second = own.mean(c.second(), 0, figure).filter(v -> shown);
        String one = words.text("procedure." + c.first().procedure().key());
        String other = words.text("procedure." + c.second().procedure().key());
        List<String> why = Stream.of(c.first(), c.second())
                .flatMap(m -> m.procedure().guide().assumes().stream())
                .distinct()
                .map(a -> words.text("assumption." + a.key()))
                .toList();
        return new JudgeView.ComparedFigure(
                words.text("judge.compared", words.name(figure), one, other),
                fields.at(LineKey.of(judge.id(), Judge.AGREES + figure.key())),
                List.of(own(one, first, figure), own(other, second, figure)),
                why,
                first.flatMap(a -> second.map(
                        b -> PairRule.of(figure, a, b, assignment.sheet().limits(figure)))));
    }

    private String own(String key, Optional<Estimate> value, FigureId figure) {
        return value.map(v -> words.text(
                        "judge.by",
                        key,
                        words.figure(v.value(), figure),
                        words.doubt(Judgement.K * v.standardUncertainty(), figure)))
                .orElseGet(() -> words.text("judge.by.none", key));
    }

    private JudgeView.Item judged(Judge judge, FigureId figure, Optional<Estimate> value) {
        String none = speaks || own.ofHisOwn(figure, judge.id()).isPresent() ? "judge.noFigure" : "judge.byReadings";
        String said = value.map(v -> words.text(
                        "judge.own",
                        words.figure(v.value(), figure),
                        words.doubt(Judgement.K * v.standardUncertainty(), figure)))
                .orElseGet(() -> words.text(none));
        return new JudgeView.Item(
                words.name(figure),
                fields.at(LineKey.of(judge.id(), figure.key())),
                said,
                assignment.sheet().limits(figure).map(l -> limits(l, figure)).orElse(""),
                value.flatMap(v -> measures.rule(figure, v)));
    }

    private String limits(Limits limits, FigureId figure) {
        String preferred =
                limits.target().isPresent() ? words.figure(limits.target().getAsDouble(), figure) : "–";
        return words.text(
                "judge.limits",
                limits.min().isPresent() ? words.figure(limits.min().getAsDouble(), figure) : "–",
                preferred,
                limits.max().isPresent() ? words.figure(limits.max().getAsDouble(), figure) : "–");
    }

    private HandInView handIn(StepView.Head head, HandIn step) {
        List<HandInView.OpenStep> steps = assignment.practical().steps().stream()
                .filter(s -> !s.equals(step))
                .map(s -> new HandInView.OpenStep(
                        s.id(),
                        names.title(s),
                        progress(s).total() - progress(s).done()))
                .toList();
        return new HandInView(head, fields.at(LineKey.of(step.id(), HandIn.DONE)), steps);
    }

    /** The key of every field of a step, in all its rounds that have been begun and the next. */
    List<LineKey> keys(Step step) {
        List<LineKey> keys = new ArrayList<>();
        if (sitting.isReference()) {
            return sheet.keys(step, sitting.stateRound());
        }
        int rounds = step instanceof Round round ? Math.min(round.most(), sheet.rounds(round, answers) + 1) : 0;
        for (int i = step instanceof Round ? 1 : 0; i <= rounds; i++) {
            keys.addAll(sheet.keys(step, i));
        }
        return keys;
    }

    /** An entry that was just written, as it was understood. */
    static String echo(Sitting sitting, Entry entry, Words words) {
        Practical practical = sitting.task().practical();
        Line line = Works.sheet(sitting).line(entry.line()).orElseThrow();
        Optional<Work.Item> item = practical
                .of(Work.class)
                .filter(w -> w.id().equals(entry.line().step()))
                .flatMap(w -> w.asked().stream())
                .filter(i -> i.figure().key().equals(entry.line().line()))
                .findFirst();
        return Fields.echo(entry, line, item.map(Work.Item::unit), words);
    }
}
