package app.galdrin.web.task.internal;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Family;
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
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What the bench shows: the form as it stands, and the sheet and the marks it makes. */
public final class BenchView {

    static final String MEASURE = "measure";

    /** The order of the work: kinds of steps, and the two ready-made checklists by their names. */
    static final List<String> USUAL =
            List.of("prepare", MEASURE, "work", "judge", "plan", "round", "closing", "handIn");

    private final BenchForm form;
    private final Words words;
    private final StepWords names;

    BenchView(BenchForm form, Words words, StepWords names) {
        this.form = form;
        this.words = words;
        this.names = names;
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

    /** A figure that is measured, with what is asked of it. */
    public record FigureRow(
            FigureId figure,
            String name,
            String from,
            boolean worked,
            @Nullable String unit,
            boolean limited,
            boolean judged,
            boolean planned,
            boolean canBePlanned,
            boolean adjustable) {}

    /** A criterion with its marks as they stand. */
    public record CriterionRow(Criterion criterion, String name, List<BandRow> bands) {
        public String key() {
            return criterion.id().key();
        }
    }

    /** A band as typed, and as it would be. */
    public record BandRow(String field, String name, String typed, String usual) {}

    public String typed(String field) {
        return form.text(field);
    }

    public @Nullable Sentence fault(String field) {
        return form.faults().get(field);
    }

    /** Whether something is wrong in a field of a step: its fold has to be open, or nobody sees what. */
    public boolean isFaultyStep(String id) {
        return form.faults().keySet().stream()
                .anyMatch(field -> field.endsWith("." + id) || field.startsWith("why." + id + "."));
    }

    /** Whether something is wrong in the bands of a criterion. */
    public boolean isFaultyBand(String criterion) {
        return form.faults().keySet().stream().anyMatch(field -> field.startsWith("band." + criterion + "."));
    }

    public boolean wrong() {
        return form.wrong();
    }

    /** What can't be right about the steps, said. */
    public List<String> stepFaults() {
        return form.taskFaults().stream().map(this::said).distinct().toList();
    }

    private String said(TaskFault fault) {
        String step = step(fault.at()).map(names::title).orElse("");
        String what = FigureId.parse(fault.value()).map(words::name).orElse(fault.value());
        String own = step(fault.at())
                .filter(Measure.class::isInstance)
                .map(s -> "procedure." + ((Measure) s).procedure().key() + ".blind")
                .orElse("fault.notSeen.why");
        String why = fault.reason() == TaskFault.Reason.NOT_SEEN ? words.text(own) : "";
        return words.text("fault." + fault.reason().key(), step, what, fault.limit(), why);
    }

    private Optional<Step> step(String at) {
        String[] path = at.split("\\.", -1);
        if (path.length < 2 || !path[1].matches("[0-9]{1,2}")) {
            return Optional.empty();
        }
        int index = Integer.parseInt(path[1]);
        List<Step> steps = form.practical.steps();
        return index < steps.size() ? Optional.of(steps.get(index)) : Optional.empty();
    }

    public Practical practical() {
        return form.practical;
    }

    public String order() {
        return form.order();
    }

    public SheetVersion sheet() {
        return form.sheet;
    }

    public UUID classId() {
        return form.classGroup.id();
    }

    public TaskStart start() {
        return form.start;
    }

    public AnswerUnit unit() {
        return form.unit();
    }

    /** What fits the vehicle, and what it was begun from. */
    public List<TaskStart> starts() {
        return Arrays.stream(TaskStart.values())
                .filter(start -> start == form.start || start.fits(form.sheet.sheet()))
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

    /** A step that can be put back: what the button says to the form, and its name. */
    public record RemovedStep(String what, String title) {}

    /** The steps of a usual practical that this one has none of. */
    public List<RemovedStep> missing() {
        return USUAL.stream()
                .filter(kind -> !kind.equals(MEASURE) && !kind.equals("handIn"))
                .filter(kind -> form.practical.steps().stream()
                        .noneMatch(s -> s.id().equals(kind) || s.kind().key().equals(kind)))
                .map(kind -> new RemovedStep(
                        kind.equals("prepare") || kind.equals("closing")
                                ? "checklist:" + kind
                                : kind + ":" + (kind.equals("round") ? "adjust" : kind),
                        words.text("step." + (kind.equals("round") ? "adjust" : kind) + ".title")))
                .toList();
    }

    /** The families of procedures that can be added. */
    public List<Family> families() {
        return Procedures.all().stream().map(Procedure::family).distinct().toList();
    }

    public List<StepRow> steps() {
        return form.practical.steps().stream()
                .map(s -> new StepRow(
                        s,
                        names.title(s),
                        form.moved(s.id(), -1).isPresent(),
                        form.moved(s.id(), 1).isPresent()))
                .toList();
    }

    /** The procedures of a measurement's family. */
    public List<Procedure> procedures(Measure measure) {
        return Procedures.all().stream()
                .filter(p -> p.family() == measure.procedure().family())
                .filter(p -> p.fits(form.sheet.sheet())
                        || p.key().equals(measure.procedure().key()))
                .toList();
    }

    /** The figures that a measurement's procedure can tell or is asked for; or the others, which another of the family can tell. */
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
        List<Checklist.Item> ready = list.isClosing() ? Checklist.CLOSING : Checklist.PREPARATION;
        Stream<Checklist.Item> own =
                list.items().stream().filter(i -> ready.stream().noneMatch(r -> r.id().equals(i.id())));
        return Stream.concat(ready.stream(), own)
                .map(item -> {
                    Optional<Checklist.Item> taken = list.items().stream()
                            .filter(i -> i.id().equals(item.id()))
                            .findFirst();
                    String field = "why." + list.id() + "." + item.id();
                    return new ItemRow(
                            taken.orElse(item),
                            taken.isPresent(),
                            item.critical() && ready.contains(item),
                            field,
                            form.text(field));
                })
                .toList();
    }

    /** Whether what is written on the way to its figures is asked for too. */
    public boolean asksForSteps(Work work) {
        return work.asked().stream().anyMatch(item -> !item.steps().isEmpty());
    }

    /** The measures before the working whose figures can be turned back into readings. */
    public List<TargetRow> targets(Work work) {
        return form.practical.steps().stream()
                .takeWhile(s -> !s.equals(work))
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .filter(m -> !m.target().on(form.sheet.sheet()).isEmpty())
                .map(m -> new TargetRow(
                        m.id(),
                        names.title(m),
                        work.targets().stream().anyMatch(t -> t.from().equals(m.id()))))
                .toList();
    }

    /** A measure, and whether what must be read is asked of it. */
    public record TargetRow(String id, String name, boolean asked) {}

    /** Whether a measurement is taken again in the rounds. */
    public boolean again(Measure measure) {
        return form.practical
                .of(Round.class)
                .flatMap(r -> r.measures().stream())
                .anyMatch(m -> m.id().equals(measure.id() + "Again"));
    }

    public boolean hasRound() {
        return form.practical.of(Round.class).findFirst().isPresent();
    }

    /** Every figure that is measured as found. */
    public List<FigureRow> asked() {
        List<FigureRow> rows = new ArrayList<>();
        Practical p = form.practical;
        for (Step step : p.steps()) {
            if (step instanceof Measure measure) {
                measure.figuresAndDifferences().stream()
                        .filter(f -> measure.figures().contains(f)
                                || form.sheet.sheet().limits(f).isPresent())
                        .forEach(figure -> rows.add(row(p, measure, figure)));
            }
        }
        return rows;
    }

    private FigureRow row(Practical p, Measure measure, FigureId figure) {
        Optional<String> unit = p.of(Work.class)
                .flatMap(w -> w.item(figure).stream())
                .map(i -> i.unit().key())
                .findFirst();
        boolean judged = p.of(Judge.class).anyMatch(j -> j.figures().contains(figure));
        boolean planned = p.of(Plan.class).anyMatch(j -> j.figures().contains(figure));
        return new FigureRow(
                figure,
                words.name(figure),
                names.title(measure),
                measure.figures().contains(figure) && measure.procedure().isWorkedOnPaper(figure),
                unit.orElse(null),
                form.sheet.sheet().limits(figure).isPresent(),
                judged,
                planned,
                measure.figures().contains(figure),
                form.sheet.sheet().adjustable(figure.adjustment()) != Adjustable.NO);
    }

    public List<CriterionRow> criteria() {
        return form.practical.scheme().criteria().stream()
                .map(c -> new CriterionRow(c, names.criterion(form.practical, c.id()), bands(c)))
                .toList();
    }

    private List<BandRow> bands(Criterion criterion) {
        List<BandRow> rows = new ArrayList<>();
        form.defaults
                .criterion(criterion.id())
                .ifPresent(usual -> usual.bands().forEach((figure, band) -> {
                    String field = "band." + criterion.id().key() + "." + figure.key();
                    rows.add(new BandRow(field, words.name(figure), form.text(field), shown(band, figure)));
                }));
        return rows;
    }

    private static String shown(Band band, FigureId figure) {
        Quantity quantity = figure.measurand().quantity();
        return new BandText(quantity).limit(band.full()) + (quantity == Quantity.ANGLE ? "°" : " mm");
    }

    public int totalMarks() {
        return form.practical.scheme().available();
    }

    // ---- what the apprentice gets

    public Sketch sketch(Measure measure) {
        Sketch sketch = Sketches.of(form.sheet.id(), form.sheet.sheet(), measure.procedure(), measure.figures());
        return form.practical.mode() == Mode.PRACTICE ? sketch : sketch.silent(); // as the apprentice gets it
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
        var standing = Assignment.of(form.practical, form.sheet.sheet()).standing();
        return new Decisions(words, form.practical.rule()).of(measure, standing);
    }

    public int places(Measure measure) {
        return measure.procedure().places(measure.figures()).size();
    }
}
