package app.galdrin.web.task.internal;

import app.galdrin.core.draft.BandText;
import app.galdrin.core.draft.ChecklistEditor;
import app.galdrin.core.draft.FieldRefusal;
import app.galdrin.core.draft.GradesText;
import app.galdrin.core.draft.JudgeEditor;
import app.galdrin.core.draft.Mend;
import app.galdrin.core.draft.PlanEditor;
import app.galdrin.core.draft.ReasonsText;
import app.galdrin.core.draft.RoundEditor;
import app.galdrin.core.draft.TaskEditor;
import app.galdrin.core.draft.WorkEditor;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.FrontDatum;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Steering;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.Work;
import app.galdrin.web.layout.Sentence;
import app.galdrin.web.layout.StepWords;
import app.galdrin.web.layout.Words;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.task.internal.Drafts.DraftContent;
import app.galdrin.web.task.internal.Drafts.DraftRow;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What the bench shows: the draft as it stands, and the sheet and the marks it makes. */
public final class BenchView {

    private static final String STEPS = "steps.";

    private final DraftRow row;
    private final DraftContent content;
    private final SheetVersion sheet;
    private final TaskEditor editor;
    private final Words words;
    private final StepWords names;
    private final Map<String, FieldRefusal> refusals;
    private final List<TaskFault> faults;
    private final Scheme usual;

    BenchView(DraftRow row, DraftContent content, SheetVersion sheet, Words words, StepWords names) {
        this.row = row;
        this.content = content;
        this.sheet = sheet;
        this.editor = new TaskEditor(sheet.sheet());
        this.words = words;
        this.names = names;
        this.refusals = editor.refusals(content.task());
        this.faults = editor.faults(content.task());
        this.usual = SchemeDefaults.of(practical(), sheet.sheet());
    }

    public UUID draftId() {
        return row.id();
    }

    /** The number of the state that is shown. */
    public int seen() {
        return row.number();
    }

    public boolean canUndo() {
        return row.undo() != null;
    }

    public boolean canRedo() {
        return row.redo() != null;
    }

    public Practical practical() {
        return content.task().practical();
    }

    /** A step as the left side shows it. */
    public record StepRow(Step step, String title, boolean up, boolean down) {
        public String id() {
            return step.id();
        }

        public String kind() {
            return step.kind().key();
        }
    }

    /**
     * A figure that a step can ask about.
     *
     * @param unit key of the unit it is answered in, where it is worked and asked
     * @param chosen whether the step asks about it
     * @param adjustable whether something on the vehicle adjusts it
     */
    public record FigureRow(
            FigureId figure, String name, @Nullable String unit, boolean chosen, boolean adjustable) {
        public String key() {
            return figure.key();
        }
    }

    /** A fault with the press that mends it. */
    public record FaultRow(
            String said, @Nullable Mend mend, @Nullable String mends) {}

    /** A criterion with its marks as they stand. */
    public record CriterionRow(Criterion criterion, String name, List<BandRow> bands) {
        public String key() {
            return criterion.id().key();
        }
    }

    /** A band as typed, and as it would be. */
    public record BandRow(String field, String name, String typed, String usual) {}

    /** What a field shows: what was typed and refused, else what stands. */
    public String value(String field, Object stands) {
        return content.task().refused(field).orElse(String.valueOf(stands));
    }

    /** Whether a box is ticked: as it was pressed where that was refused, else as it stands. */
    public boolean ticked(String field, boolean stands) {
        return content.task().refused(field).map("on"::equals).orElse(stands);
    }

    /** Why a field cannot hold what was typed. */
    public @Nullable Sentence fault(String field) {
        FieldRefusal refusal = refusals.get(field);
        return refusal == null ? null : sentence(refusal);
    }

    /** Why one of several fields cannot hold what was typed: those whose names begin so. */
    public @Nullable Sentence faultWithin(String fields) {
        return refusals.entrySet().stream()
                .filter(e -> e.getKey().startsWith(fields))
                .findFirst()
                .map(e -> sentence(e.getValue()))
                .orElse(null);
    }

    private static Sentence sentence(FieldRefusal refusal) {
        List<Object> args = new ArrayList<>(List.of(Words.quote(refusal.typed())));
        args.addAll(refusal.limits());
        return new Sentence(refusal.key(), args);
    }

    /** Whether something is wrong in a step: its fold has to be open, or nobody sees what. */
    public boolean isFaultyStep(String id) {
        return faultWithin(STEPS + id + ".") != null || !stepFaults(id).isEmpty();
    }

    /** Whether something is wrong in the bands of a criterion. */
    public boolean isFaultyBand(String criterion) {
        return faultWithin("band." + criterion + ".") != null;
    }

    public boolean wrong() {
        return !refusals.isEmpty() || !faults.isEmpty();
    }

    /** What is wrong with a step. */
    public List<FaultRow> stepFaults(String id) {
        return faults.stream()
                .filter(f -> TaskEditor.step(practical(), f)
                        .filter(s -> s.id().equals(id))
                        .isPresent())
                .map(this::row)
                .distinct()
                .toList();
    }

    /** What is wrong with the task and with no step of it. */
    public List<FaultRow> taskFaults() {
        return faults.stream()
                .filter(f -> TaskEditor.step(practical(), f).isEmpty())
                .map(this::row)
                .distinct()
                .toList();
    }

    private FaultRow row(TaskFault fault) {
        Optional<Mend> mend = editor.mend(content.task(), fault);
        String mends = mend.map(m -> words.text(m.label(), m.about().isEmpty() ? "" : words.text(m.about())))
                .orElse(null);
        return new FaultRow(said(fault), mend.orElse(null), mends);
    }

    private String said(TaskFault fault) {
        Optional<Step> at = TaskEditor.step(practical(), fault);
        String step = at.map(names::title).orElse("");
        if (fault.reason() == TaskFault.Reason.MISSING && fault.at().endsWith(".figures")) {
            return words.text("fault.noFigures", step);
        }
        String what = FigureId.parse(fault.value()).map(words::name).orElse(fault.value());
        String own = at.filter(Measure.class::isInstance)
                .map(s -> "procedure." + ((Measure) s).procedure().key() + ".blind")
                .orElse("fault.notSeen.why");
        String why = fault.reason() == TaskFault.Reason.NOT_SEEN ? words.text(own) : "";
        return words.text("fault." + fault.reason().key(), step, what, fault.limit(), why);
    }

    public SheetVersion sheet() {
        return sheet;
    }

    public UUID classId() {
        return content.classId();
    }

    public AnswerUnit unit() {
        return content.task().unit();
    }

    public String grades() {
        return GradesText.write(practical().scheme().grades());
    }

    /** Ready-made tasks that fit the vehicle. */
    public List<TaskStart> starts() {
        return Arrays.stream(TaskStart.values())
                .filter(start -> start.fits(sheet.sheet()))
                .toList();
    }

    public OrderSchool[] schools() {
        return OrderSchool.values();
    }

    public DecisionRule[] rules() {
        return DecisionRule.values();
    }

    public Mode[] modes() {
        return Mode.values();
    }

    public OutcomeSchool[] outcomes() {
        return OutcomeSchool.values();
    }

    public FrontDatum[] frontDatums() {
        return FrontDatum.values();
    }

    public AnswerUnit[] units() {
        return AnswerUnit.values();
    }

    /** All that can be added, with its name, in the usual order of the work. */
    public List<AdditionRow> additions() {
        return editor.additions().stream()
                .map(a -> new AdditionRow(a.key(), words.text(a.label())))
                .toList();
    }

    /** What can be added. */
    public record AdditionRow(String key, String name) {}

    public List<StepRow> steps() {
        return practical().steps().stream()
                .map(s -> new StepRow(
                        s,
                        names.title(s),
                        editor.moved(content.task(), s.id(), -1).isPresent(),
                        editor.moved(content.task(), s.id(), 1).isPresent()))
                .toList();
    }

    /** The procedures of a measurement's family. */
    public List<Procedure> procedures(Measure measure) {
        return Procedures.all().stream()
                .filter(p -> p.family() == measure.procedure().family())
                .filter(p -> p.fits(sheet.sheet())
                        || p.key().equals(measure.procedure().key()))
                .toList();
    }

    /** The figures that a measurement's procedure can tell or is asked for, or the others, which another of the family can tell. */
    public List<FigureId> figures(Measure measure, boolean itsOwn) {
        return procedures(measure).stream()
                .flatMap(p -> p.sees().stream())
                .distinct()
                .filter(f -> itsOwn
                        == (measure.procedure().sees().contains(f)
                                || measure.figures().contains(f)))
                .sorted(Comparator.comparing((FigureId f) -> place(measure, f))
                        .thenComparing(Comparator.naturalOrder()))
                .toList();
    }

    /** What is asked already stays in its order, which is that of the form; the others follow. */
    private static int place(Measure measure, FigureId figure) {
        int at = measure.figures().indexOf(figure);
        return at < 0 ? measure.figures().size() : at;
    }

    public String name(FigureId figure) {
        return words.name(figure);
    }

    /**
     * An item of a checklist on the bench.
     *
     * @param taken whether the list has it
     * @param needed whether it can't be left out
     * @param why what is typed for its reasons, under the name {@code field}
     */
    public record ItemRow(Checklist.Item item, boolean taken, boolean needed, String field, String why) {}

    /** Those that can be taken, and its own. */
    public List<ItemRow> items(Checklist list) {
        List<Checklist.Item> ready = ChecklistEditor.ready(list);
        Stream<Checklist.Item> own =
                list.items().stream().filter(i -> ready.stream().noneMatch(r -> r.id().equals(i.id())));
        return Stream.concat(ready.stream(), own)
                .map(item -> {
                    Optional<Checklist.Item> taken = list.items().stream()
                            .filter(i -> i.id().equals(item.id()))
                            .findFirst();
                    String field = STEPS + list.id() + ".why." + item.id();
                    return new ItemRow(
                            taken.orElse(item),
                            taken.isPresent(),
                            item.critical() && ready.contains(item),
                            field,
                            value(field, ReasonsText.write(taken.orElse(item).why())));
                })
                .toList();
    }

    /** Whether intermediate figures are asked for too. */
    public boolean asksForWays(Work work) {
        return WorkEditor.asksForWays(work);
    }

    /** The figures that a working can ask. */
    public List<FigureRow> figures(Work work) {
        return WorkEditor.figures(practical(), work).stream()
                .map(f -> new FigureRow(
                        f,
                        words.name(f),
                        work.item(f).map(i -> i.unit().key()).orElse(WorkEditor.NOT_ASKED),
                        work.item(f).isPresent(),
                        true))
                .toList();
    }

    /** The figures that can be judged. */
    public List<FigureRow> figures(Judge judge) {
        return rows(JudgeEditor.figures(practical(), sheet.sheet(), judge), judge.figures());
    }

    /** The figures that can be planned. */
    public List<FigureRow> figures(Plan plan) {
        return rows(PlanEditor.figures(practical(), sheet.sheet(), plan), plan.figures());
    }

    private List<FigureRow> rows(List<FigureId> possible, List<FigureId> chosen) {
        return possible.stream()
                .map(f -> new FigureRow(
                        f,
                        words.name(f),
                        null,
                        chosen.contains(f),
                        sheet.sheet().adjustable(f.adjustment()) != Adjustable.NO))
                .toList();
    }

    /** The measurements a round can read again. */
    public List<TargetRow> again(Round round) {
        return practical().steps().stream()
                .takeWhile(s -> !s.equals(round))
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .map(m -> new TargetRow(m.id(), names.title(m), RoundEditor.readsAgain(round, m)))
                .toList();
    }

    /** The measures before the working whose figures can be turned back into readings. */
    public List<TargetRow> targets(Work work) {
        return practical().steps().stream()
                .takeWhile(s -> !s.equals(work))
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .filter(m -> !m.target().on(sheet.sheet()).isEmpty())
                .map(m -> new TargetRow(
                        m.id(),
                        names.title(m),
                        work.targets().stream().anyMatch(t -> t.from().equals(m.id()))))
                .toList();
    }

    /** A measure, and whether what must be read is asked of it. */
    public record TargetRow(String id, String name, boolean asked) {}

    public List<CriterionRow> criteria() {
        return practical().scheme().criteria().stream()
                .map(c -> new CriterionRow(c, names.criterion(practical(), c.id()), bands(c)))
                .toList();
    }

    private List<BandRow> bands(Criterion criterion) {
        List<BandRow> rows = new ArrayList<>();
        criterion.bands().forEach((figure, band) -> {
            String field = "band." + criterion.id().key() + "." + figure.key();
            Optional<Band> other = usual.criterion(criterion.id()).flatMap(c -> c.band(figure));
            boolean chosen = other.filter(band::isAlike).isEmpty();
            String stands = chosen ? new BandText(figure.measurand().quantity()).write(band) : "";
            rows.add(new BandRow(field, words.name(figure), value(field, stands), shown(other.orElse(band), figure)));
        });
        return rows;
    }

    private static String shown(Band band, FigureId figure) {
        Quantity quantity = figure.measurand().quantity();
        return new BandText(quantity).limit(band.full()) + (quantity == Quantity.ANGLE ? "°" : " mm");
    }

    public int totalMarks() {
        return practical().scheme().available();
    }

    // ---- what the apprentice gets

    public Sketch sketch(Measure measure) {
        Sketch sketch = Sketches.of(sheet.id(), sheet.sheet(), measure.procedure(), measure.figures());
        return practical().mode() == Mode.PRACTICE ? sketch : sketch.silent(); // as the apprentice gets it
    }

    /** The tools of a measurement that can be chosen. */
    public List<ToolRow> tools(Measure measure) {
        Procedure procedure = measure.procedure();
        Set<String> asked =
                procedure.places(measure.figures()).stream().map(Place::tool).collect(Collectors.toSet());
        return procedure.instruments().entrySet().stream()
                .filter(e -> asked.contains(e.getKey())
                        && procedure.choiceOf(e.getKey()).size() > 1)
                .map(e -> new ToolRow(
                        e.getKey(), words.text("doubt." + e.getKey()), procedure.choiceOf(e.getKey()), e.getValue()))
                .toList();
    }

    /** What is read with one instrument, and what it could be read with. */
    public record ToolRow(String key, String name, List<CatalogueInstrument> choice, CatalogueInstrument now) {}

    /** Whether a measurement reads run-out, be it that the task has it taken off. */
    public boolean isRunningOut(Measure measure) {
        return measure.procedure().runsOut() || measure.procedure().isRunOutTakenOff();
    }

    public Steering[] steerings() {
        return Steering.values();
    }

    /** Whether it matters to a measurement where the steering stands. */
    public boolean isSteered(Measure measure) {
        return measure.procedure().sees().stream().anyMatch(f -> !Steering.SQUARED.leaves(f));
    }

    /** Whether each figure of a measurement can be decided when it is read as asked. */
    public List<DecisionRow> decisions(Measure measure) {
        var standing = Assignment.of(practical(), sheet.sheet()).standing();
        return new Decisions(words, practical().rule()).of(measure, standing);
    }

    public int places(Measure measure) {
        return measure.procedure().places(measure.figures()).size();
    }
}
