package app.galdrin.web.task.internal;

import app.galdrin.core.draft.BandText;
import app.galdrin.core.draft.FieldRefusal;
import app.galdrin.core.draft.GradesText;
import app.galdrin.core.draft.Mend;
import app.galdrin.core.draft.TaskEditor;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.FrontDatum;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Content of the bench: the draft as it stands, and the sheet and the marks it makes. */
public final class BenchView implements BenchDraft {

    private static final String STEPS = "steps.";

    private final DraftRow row;
    private final DraftContent content;
    private final SheetVersion sheet;
    private final TaskEditor editor;
    private final Words words;
    private final StepWords names;
    private final StepBenches kinds;
    private final List<Checklist.Item> knownItems;
    private final Map<String, FieldRefusal> refusals;
    private final List<TaskFault> faults;
    private final Scheme usual;

    BenchView(
            DraftRow row,
            DraftContent content,
            SheetVersion sheet,
            List<Checklist.Item> knownItems,
            Words words,
            StepWords names,
            StepBenches kinds) {
        this.row = row;
        this.content = content;
        this.sheet = sheet;
        this.editor = new TaskEditor(sheet.sheet(), knownItems);
        this.knownItems = knownItems;
        this.words = words;
        this.names = names;
        this.kinds = kinds;
        this.refusals = editor.refusals(content.task());
        this.faults = editor.faults(content.task());
        this.usual = SchemeDefaults.of(practical(), sheet.sheet());
    }

    @Override
    public List<Checklist.Item> knownItems() {
        return knownItems;
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

    @Override
    public Practical practical() {
        return content.task().practical();
    }

    /** A step as the left side shows it. */
    public record StepRow(Step step, String title, boolean up, boolean down) {
        public String id() {
            return step.id();
        }

        public String kind() {
            return step.kind();
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

    @Override
    public String value(String field, Object stands) {
        return content.task().refused(field).orElse(String.valueOf(stands));
    }

    /** Returns whether a box is ticked: as it was pressed where that was refused, else as it stands. */
    public boolean ticked(String field, boolean stands) {
        return content.task().refused(field).map("on"::equals).orElse(stands);
    }

    /** Returns why a field cannot hold what was typed. */
    public @Nullable Sentence fault(String field) {
        FieldRefusal refusal = refusals.get(field);
        return refusal == null ? null : sentence(refusal);
    }

    /** Returns why one of several fields cannot hold what was typed: those whose names begin so. */
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

    /** Returns whether something is wrong in a step: its fold has to be open, or nobody sees what. */
    public boolean isFaultyStep(String id) {
        return faultWithin(STEPS + id + ".") != null || !stepFaults(id).isEmpty();
    }

    /** Returns whether something is wrong in the bands of a criterion. */
    public boolean isFaultyBand(String criterion) {
        return faultWithin("band." + criterion + ".") != null;
    }

    public boolean wrong() {
        return !refusals.isEmpty() || !faults.isEmpty();
    }

    /** Returns what is wrong with a step. */
    public List<FaultRow> stepFaults(String id) {
        return faults.stream()
                .filter(f -> TaskEditor.step(practical(), f)
                        .filter(s -> s.id().equals(id))
                        .isPresent())
                .map(this::row)
                .distinct()
                .toList();
    }

    /** Returns what is wrong with the task and with no step of it. */
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
        if (fault.reason() == TaskFaultCode.MISSING && fault.at().endsWith(".figures")) {
            return words.text("fault.noFigures", step);
        }
        String what = FigureId.parse(fault.value())
                .map(words::name)
                .orElseGet(() -> words.textOr("fastenerUse." + fault.value(), "item.own", fault.value()));
        String own = at.filter(Measure.class::isInstance)
                .map(s -> "procedure." + ((Measure) s).procedure().key() + ".blind")
                .orElse("fault.notSeen.why");
        String why = fault.reason() == TaskFaultCode.NOT_SEEN ? words.text(own) : "";
        return words.text("fault." + fault.reason().key(), step, what, fault.limit(), why);
    }

    @Override
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

    public ReferenceRule[] referenceRules() {
        return ReferenceRule.values();
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

    /** Step that can be added. */
    public record AdditionRow(String key, String name) {}

    /** Returns what the fragments of a step show beside the step. */
    public Object fields(Step step) {
        return kinds.of(step).view(step, this);
    }

    public List<StepRow> steps() {
        return practical().steps().stream()
                .map(s -> new StepRow(
                        s,
                        names.title(s),
                        editor.moved(content.task(), s.id(), -1).isPresent(),
                        editor.moved(content.task(), s.id(), 1).isPresent()))
                .toList();
    }

    @Override
    public String name(FigureId figure) {
        return words.name(figure);
    }

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
}
