package app.galdrin.web.task.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.FrontDatum;
import app.galdrin.core.task.Grade;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Reason;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Steering;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKind;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.Work;
import app.galdrin.web.account.ClassGroup;
import app.galdrin.web.layout.Sentence;
import app.galdrin.web.layout.Words;
import app.galdrin.web.library.SheetVersion;
import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;

/**
 * The practical that the task bench's form stands for, and what is wrong with it: of each field by itself ({@link BenchFields}), and of
 * all together ({@link Practical#faults()}), in one go.
 */
final class BenchForm {

    /** A name and whole percent. */
    private static final Pattern GRADE = Pattern.compile("(\\S.{0,23}?)\\s+([0-9]{1,3})\\s*%?");

    private final MultiValueMap<String, String> typed;
    private final BenchFields fields;
    private final Map<String, Sentence> faults;
    private final List<TaskFault> taskFaults = new ArrayList<>();

    final SheetVersion sheet;
    final ClassGroup classGroup;
    final TaskStart start;
    final OrderSchool school;
    final Practical practical;
    final Scheme defaults;

    /** {@code sheets} and {@code classes} hold one at least. */
    BenchForm(
            MultiValueMap<String, String> typed,
            List<SheetVersion> sheets,
            List<ClassGroup> classes,
            String defaultTitle,
            Validator validator) {
        this.typed = typed;
        this.fields = BenchFields.of(typed);
        this.faults = fields.faults(validator);
        this.sheet = chosen(sheets, s -> s.id().toString(), "sheet");
        this.classGroup = chosen(classes, c -> c.id().toString(), "class");
        this.start = key(fields.start(), TaskStart.values(), TaskStart.values()[0]);
        this.school = key(fields.school(), OrderSchool.values(), OrderSchool.A);
        Practical bare = bare(defaultTitle);
        this.defaults = SchemeDefaults.of(bare, sheet.sheet());
        this.practical = bare.with(scheme(bare));
        taskFaults.addAll(practical.faults());
        taskFaults.addAll(practical.faults(sheet.sheet()));
    }

    // ---- what was typed

    String text(String field) {
        return BenchFields.text(typed, field);
    }

    /** Whether the steps were sent, or are those of the ready-made start. */
    private boolean composed() {
        return typed.containsKey("order");
    }

    Map<String, Sentence> faults() {
        return faults;
    }

    List<TaskFault> taskFaults() {
        return taskFaults;
    }

    boolean wrong() {
        return !faults.isEmpty() || !taskFaults.isEmpty();
    }

    // ---- the practical

    private Practical bare(String defaultTitle) {
        String title = fields.title().isEmpty() ? defaultTitle : fields.title();
        Practical begun = start.on(sheet.sheet(), title, school, unit());
        int minutes = whole("minutes", fields.minutes(), 0);
        return new Practical(
                title,
                school,
                key(fields.rule(), DecisionRule.values(), DecisionRule.SIMPLE),
                key(fields.mode(), Mode.values(), Mode.ASSESSMENT),
                key(fields.outcome(), OutcomeSchool.values(), OutcomeSchool.COMPETENCE),
                minutes == 0 ? Optional.empty() : Optional.of(minutes),
                composed() ? steps(begun) : begun.steps(),
                new Scheme(List.of(), 0),
                Keyed.find(FrontDatum.values(), fields.frontsTo()));
    }

    /** The unit that figures are answered in where none is chosen for a figure by itself. */
    AnswerUnit unit() {
        return key(fields.unit(), AnswerUnit.values(), AnswerUnit.DEGREES);
    }

    /** The steps in the order that was sent, after what a button asked for. */
    private List<Step> steps(Practical begun) {
        List<String> order = new ArrayList<>(Stream.of(text("order").split(",", -1))
                .filter(id -> id.matches("[a-z][a-zA-Z0-9]{0,39}"))
                .distinct()
                .limit(Practical.MOST_STEPS)
                .toList());
        Map<String, Step> steps = new LinkedHashMap<>();
        for (String id : order) {
            kind(id).ifPresent(kind -> steps.put(id, step(id, kind, steps.values(), begun)));
        }
        return List.copyOf(steps.values());
    }

    private Optional<StepKind> kind(String id) {
        return Keyed.find(StepKind.values(), text("kind." + id));
    }

    private Step step(String id, StepKind kind, Collection<Step> before, Practical begun) {
        List<Measure> measures = before.stream()
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .toList();
        return switch (kind) {
            case CHECKLIST -> checklist(id);
            case MEASURE -> measure(id, begun);
            case WORK -> new Work(id, asked(id, measures, before), targets(measures));
            case JUDGE -> new Judge(id, wanted("judge", measures, Measure::figuresAndDifferences), toldTwice(measures));
            case PLAN -> new Plan(id, wanted("plan", measures, Measure::figures));
            case ROUND -> round(id, measures);
            case HAND_IN -> new HandIn(id);
        };
    }

    private Checklist checklist(String id) {
        List<Checklist.Item> ready = text("list." + id).equals("closing") ? Checklist.CLOSING : Checklist.PREPARATION;
        if (!typed.containsKey("listed." + id)) {
            return new Checklist(id, ready);
        }
        List<String> kept = typed.getOrDefault("items." + id, List.of());
        Stream<Checklist.Item> own = kept.stream()
                .filter(item -> item.matches(Checklist.ITEM) && ready.stream().noneMatch(i -> i.id().equals(item)))
                .map(item -> new Checklist.Item(item, ticked("critical." + id, item), ticked("witnessed." + id, item)));
        return new Checklist(
                id,
                Stream.concat(ready.stream().filter(i -> kept.contains(i.id()) || i.critical()), own)
                        .limit(Practical.MOST_LINES)
                        .map(item -> new Checklist.Item(
                                item.id(),
                                item.critical(),
                                item.witnessed(),
                                ticked("inTurn." + id, item.id()),
                                why("why." + id + "." + item.id())))
                        .toList());
    }

    private List<Reason> why(String field) {
        Optional<List<Reason>> read = ReasonsText.read(text(field));
        if (read.isEmpty()) {
            faults.put(
                    field, Sentence.of("bench.why.fault", Words.quote(text(field)), Reason.MOST, Reason.LONGEST_WORD));
        }
        return read.orElse(List.of());
    }

    private boolean ticked(String field, String value) {
        return typed.getOrDefault(field, List.of()).contains(value);
    }

    private Measure measure(String id, Practical begun) {
        Procedure otherwise = begun.measure(id)
                .map(Measure::procedure)
                .orElse(Procedures.all().get(0));
        Procedure chosen = Procedures.named(text("procedure." + id)).orElse(otherwise);
        Procedure read = chosen.with(tools(id, chosen));
        Procedure procedure = typed.containsKey("runOut." + id) ? read.withRunOutTakenOff() : read;
        List<FigureId> figures = typed.getOrDefault("figures." + id, List.of()).stream()
                .flatMap(key -> FigureId.parse(key).stream())
                .filter(f -> procedure.sees().contains(f) || isOfFamily(procedure, f))
                .distinct()
                .toList();
        if (ticked("asked." + id, "1") && !typed.containsKey("figures." + id)) {
            faults.put(
                    "figures." + id,
                    Sentence.of("bench.noFigures")); // what was ticked is taken off, and is not put back silently
        }
        String working = text("working." + id);
        return new Measure(
                id,
                procedure,
                figures.isEmpty() ? TaskStart.usualFigures(procedure) : figures,
                whole("repeats." + id, fields.repeats().get(id), 2),
                procedure.taught().contains(working)
                        ? working
                        : procedure.taught().get(0),
                Keyed.find(Steering.values(), text("steering." + id)).orElse(Steering.CLAMPED));
    }

    /** What was chosen instead of the usual instrument. */
    private Map<String, CatalogueInstrument> tools(String id, Procedure procedure) {
        Map<String, CatalogueInstrument> tools = new HashMap<>();
        procedure
                .instruments()
                .forEach((tool, usual) -> procedure.choiceOf(tool).stream()
                        .filter(i -> i != usual && i.key().equals(text("tool." + id + "." + tool)))
                        .forEach(i -> tools.put(tool, i)));
        return tools;
    }

    /** A figure that another procedure of the family sees is kept, and refused with its reason rather than dropped. */
    private static boolean isOfFamily(Procedure procedure, FigureId figure) {
        return Procedures.seeing(figure).stream().anyMatch(p -> p.family() == procedure.family());
    }

    /** What no working before it has asked from the same readings. */
    private List<Work.Item> asked(String id, List<Measure> measures, Collection<Step> before) {
        List<Work.Item> asked = new ArrayList<>();
        List<Work.Item> earlier = before.stream()
                .filter(Work.class::isInstance)
                .flatMap(step -> ((Work) step).asked().stream())
                .toList();
        for (Measure measure : measures) {
            for (FigureId figure : measure.figures()) {
                String unit = text("unit." + figure.key());
                boolean already = asked.stream().anyMatch(i -> i.figure().equals(figure))
                        || earlier.stream()
                                .anyMatch(i ->
                                        i.figure().equals(figure) && i.from().equals(measure.id()));
                if (!already && !unit.equals("none") && measure.procedure().isWorkedOnPaper(figure)) {
                    asked.add(new Work.Item(
                            figure,
                            measure.id(),
                            Keyed.find(AnswerUnit.values(), unit).orElse(unit()).orFitting(figure),
                            ticked("steps", id) ? measure.onTheWay(figure, sheet.sheet()) : List.of()));
                }
            }
        }
        return asked;
    }

    /** The figures that are asked of two procedures, so that it can be asked whether they agree. */
    private static List<FigureId> toldTwice(List<Measure> measures) {
        return measures.stream()
                .flatMap(m -> m.figures().stream())
                .distinct()
                .filter(f -> measures.stream()
                                .filter(m -> m.figures().contains(f))
                                .map(m -> m.procedure().key())
                                .distinct()
                                .count()
                        > 1)
                .toList();
    }

    /** The measures whose target readings were asked for, where there are any. */
    private List<Target> targets(List<Measure> measures) {
        return measures.stream()
                .filter(m -> typed.containsKey("target." + m.id()))
                .map(Measure::target)
                .filter(target -> !target.on(sheet.sheet()).isEmpty())
                .toList();
    }

    /** The figures that have limits on this sheet, but those that were unticked. */
    private List<FigureId> wanted(String what, List<Measure> measures, Function<Measure, List<FigureId>> figures) {
        return measures.stream()
                .flatMap(m -> figures.apply(m).stream())
                .distinct()
                .filter(f -> sheet.sheet().limits(f).isPresent())
                .filter(f -> !typed.containsKey("figured." + f.key()) || typed.containsKey(what + "." + f.key()))
                .toList();
    }

    private Round round(String id, List<Measure> measures) {
        List<Measure> again = measures.stream()
                .filter(m -> typed.containsKey("again." + m.id()) || !typed.containsKey("roundsent." + id))
                .map(m -> m.as(m.id() + "Again"))
                .toList();
        return new Round(
                id,
                again,
                whole("most." + id, fields.most().get(id), 2),
                whole("aim." + id, fields.aim().get(id), Round.INSIDE));
    }

    // ---- the marks

    private Scheme scheme(Practical bare) {
        List<Criterion> criteria = new ArrayList<>();
        for (Criterion usual : defaults.criteria()) {
            String key = usual.id().key();
            boolean must = typed.containsKey("schemed." + key) ? typed.containsKey("must." + key) : usual.mustPass();
            int marks = whole("marks." + key, fields.marks().get(key), usual.marks());
            criteria.add(new Criterion(usual.id(), marks, must, bands(usual)));
        }
        if (criteria.stream().mapToInt(Criterion::marks).sum() == 0) {
            faults.put("marks", Sentence.of("bench.noMarks"));
        }
        return new Scheme(criteria, whole("slipKeeps", fields.slipKeeps(), 0), grades());
    }

    /** As typed, the lowest first: {@code Pass 50, Merit 65}. */
    private List<Grade> grades() {
        List<Grade> grades = new ArrayList<>();
        boolean graded = OutcomeSchool.GRADED.key().equals(fields.outcome());
        if (graded && fields.grades().isBlank()) {
            faults.put("grades", Sentence.of("bench.grades.needed"));
        }
        for (String one : fields.grades().split(",", -1)) {
            Matcher read = GRADE.matcher(one.strip());
            boolean rises = read.matches()
                    && (grades.isEmpty()
                            || Integer.parseInt(read.group(2))
                                    > grades.get(grades.size() - 1).from());
            if (rises && Integer.parseInt(read.group(2)) <= 100 && grades.size() < Grade.MOST) {
                grades.add(new Grade(read.group(1), Integer.parseInt(read.group(2))));
            } else if (!fields.grades().isBlank()) {
                faults.put(
                        "grades",
                        Sentence.of(
                                "bench.grades.fault", Words.quote(fields.grades()), Grade.LONGEST_NAME, Grade.MOST));
                return List.of();
            }
        }
        return grades;
    }

    private Map<FigureId, Band> bands(Criterion usual) {
        Map<FigureId, Band> bands = new LinkedHashMap<>();
        usual.bands().forEach((figure, band) -> bands.put(figure, band(usual.id(), figure, band)));
        return bands;
    }

    /** As typed; empty takes the default. */
    private Band band(Criterion.Id criterion, FigureId figure, Band otherwise) {
        String name = criterion.key() + "." + figure.key();
        String text = fields.band().getOrDefault(name, "");
        if (text.isEmpty()) {
            return otherwise;
        }
        Quantity quantity = figure.measurand().quantity();
        var bandText = new BandText(quantity);
        Optional<Band> read = bandText.read(text);
        if (read.isEmpty()) {
            faults.put(
                    "band." + name,
                    Sentence.of(
                            "bench.band." + quantity.key(),
                            Words.quote(text),
                            bandText.narrowest(),
                            bandText.widest(),
                            Band.MOST_STEPS));
        }
        return read.orElse(otherwise);
    }

    // ---- moving steps

    /** The order of the steps with two neighbours changed, if the practical can be done so and the school allows it. */
    Optional<String> moved(String id, int places) {
        List<Step> steps = new ArrayList<>(practical.steps());
        int here = steps.stream().map(Step::id).toList().indexOf(id);
        int there = here + places;
        if (here < 0 || there < 0 || there >= steps.size() || isAgainstSchool(steps, Math.min(here, there))) {
            return Optional.empty();
        }
        Step step = steps.remove(here);
        steps.add(there, step);
        return practical.with(steps).faults().isEmpty() || !practical.faults().isEmpty()
                ? Optional.of(String.join(",", steps.stream().map(Step::id).toList()))
                : Optional.empty();
    }

    /** Two measurements that stand as the school wants them are not changed. */
    private boolean isAgainstSchool(List<Step> steps, int first) {
        if (!(steps.get(first) instanceof Measure a) || !(steps.get(first + 1) instanceof Measure b)) {
            return false;
        }
        Optional<Integer> turnOfA = turn(a);
        Optional<Integer> turnOfB = turn(b);
        return turnOfA.isPresent() && turnOfB.isPresent() && turnOfA.get() < turnOfB.get();
    }

    private Optional<Integer> turn(Measure measure) {
        return measure.figures().stream()
                .flatMap(f -> school.turn(f.measurand()).stream())
                .min(Integer::compare);
    }

    /** The order of the steps as fields carry it. */
    String order() {
        return String.join(",", practical.steps().stream().map(Step::id).toList());
    }

    // ---- reading fields

    private int whole(String name, @Nullable String text, int otherwise) {
        return text == null || text.isEmpty() || faults.containsKey(name) ? otherwise : Integer.parseInt(text);
    }

    private static <T extends Keyed> T key(String text, T[] values, T otherwise) {
        return Keyed.find(values, text).orElse(otherwise);
    }

    private <T> T chosen(List<T> all, Function<T, String> id, String field) {
        String text = text(field);
        return all.stream()
                .filter(one -> id.apply(one).equals(text))
                .findFirst()
                .orElseGet(() -> {
                    if (!text.isEmpty()) {
                        faults.put(field, Sentence.of("field.noChoice", Words.quote(text)));
                    }
                    return all.get(0);
                });
    }
}
