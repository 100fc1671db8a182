package app.galdrin.core.task;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.procedure.paper.IntermediateSteps;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Stance;
import com.google.auto.service.AutoService;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import tools.jackson.core.JsonGenerator;

/**
 * Readings by one procedure in one state of the vehicle.
 *
 * @param procedure how it is measured, and with which instruments
 * @param figures what is wanted; the places that are read follow from it
 * @param repeats how many times, 1 to {@link Practical#MOST_REPEATS}
 * @param taught key of the working that the task teaches
 * @param steering where the steering stands meanwhile
 * @param stance how the vehicle stands on its springs meanwhile
 */
public record Measure(
        String id,
        Procedure procedure,
        List<FigureId> figures,
        int repeats,
        String taught,
        Steering steering,
        Stance stance)
        implements Step {

    public static final String KIND = "measure";

    private static final int LONGEST_KEY = 40;
    private static final int MOST_FIGURES = 20;
    static final String RUN_OUT = "runOut";
    private static final String RIDE_HEIGHT = "rideHeight";
    private static final String LOAD = "load";
    private static final String TAKEN_OFF = "takenOff";

    /** More than any bay's floor falls, deg. */
    private static final double STEEPEST = 5;

    public Measure {
        figures = List.copyOf(figures);
    }

    /** Creates a measuring step with the procedure's usual working. */
    public static Measure of(String id, Procedure procedure, List<FigureId> figures, int repeats) {
        return new Measure(id, procedure, figures, repeats, procedure.taught().get(0), Steering.CLAMPED, Stance.ANY);
    }

    @Override
    public Measure by(UnaryOperator<Procedure> change) {
        return new Measure(id, change.apply(procedure), figures, repeats, taught, steering, stance);
    }

    /** The same readings again, under another id. */
    public Measure as(String other) {
        return new Measure(other, procedure, figures, repeats, taught, steering, stance);
    }

    /** The same, asking for other figures. */
    public Measure asking(List<FigureId> wanted) {
        return new Measure(id, procedure, wanted, repeats, taught, steering, stance);
    }

    /** The same, so many times: 1 to {@link Practical#MOST_REPEATS}. */
    public Measure times(int more) {
        return new Measure(id, procedure, figures, more, taught, steering, stance);
    }

    /** The same, teaching another working of its procedure. */
    public Measure teaching(String working) {
        return new Measure(id, procedure, figures, repeats, working, steering, stance);
    }

    /** The same with the steering so. */
    public Measure with(Steering other) {
        return new Measure(id, procedure, figures, repeats, taught, other, stance);
    }

    /** The same of a vehicle that stands so. */
    public Measure with(Stance other) {
        return new Measure(id, procedure, figures, repeats, taught, steering, other);
    }

    /** The same as it is taken on a vehicle: where it says nothing of ride height and load, they are those of the sheet's limits. */
    public Measure on(SpecificationSheet sheet) {
        return with(stance.or(sheet.stance()));
    }

    /** Returns what can be asked for on the way to a figure that is worked from these readings on a vehicle. */
    public List<Intermediate> onTheWay(FigureId figure, SpecificationSheet sheet) {
        var standing = new MeasuringContext(sheet, BayFloor.LEVEL);
        return IntermediateSteps.any(procedure, figure, standing, taught).intermediates();
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        Stream<Line> chosen =
                procedure.choices().stream().map(c -> Line.of(c.id(), new AnswerType.Choice(c.id(), c.options())));
        return Stream.concat(chosen, procedure.places(figures).stream().map(Line::reading))
                .toList();
    }

    /** The lines for slopes of the floor that its figures are worked with, where nobody has surveyed the bay; none where it is known. */
    @Override
    public List<Line> floorLines(BayFloor floor) {
        return floor.isKnown()
                ? List.of()
                : procedure.slopes(figures).stream().map(Measure::slopeLine).toList();
    }

    private static Line slopeLine(BayFloor.Slope slope) {
        var size = new AnswerType.Amount(Quantity.ANGLE, Unit.DEG, 0, STEEPEST);
        List<Sense> senses = slope == BayFloor.Slope.PITCH
                ? List.of(Sense.FALLS_TO_REAR, Sense.FALLS_TO_FRONT)
                : List.of(Sense.FALLS_LEFT, Sense.FALLS_RIGHT);
        return Line.of(slope.key(), new AnswerType.SizeAndSense(size, senses, Side.LEFT));
    }

    @Override
    public Set<Aspect> aspects() {
        return repeats > 1 ? EnumSet.of(Aspect.READING, Aspect.REPEATABILITY) : EnumSet.of(Aspect.READING);
    }

    /** Returns whether this step's readings tell a figure, asked for or not. */
    public boolean tells(FigureId figure) {
        return procedure.sees().contains(figure)
                && procedure.places(figures).containsAll(procedure.places(List.of(figure)));
    }

    /** Returns what was asked, and how far the sides differ in it where its readings tell that. */
    public List<FigureId> figuresAndDifferences() {
        Stream<FigureId> differences =
                figures.stream().flatMap(f -> f.sideDifference().stream()).filter(this::tells);
        return Stream.concat(figures.stream(), differences).distinct().toList();
    }

    /** Returns the equipment it is measured with, each kind once. */
    public List<EquipmentKind> equipment() {
        return procedure.equipment(figures);
    }

    /** Its figures turned back into readings. */
    public Target target() {
        return new Target(id, procedure, figures);
    }

    @Override
    public Measure ordered() {
        return asking(figures.stream().sorted().toList());
    }

    /** Several measurements share the marks that one has. */
    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        boolean reading = aspect == Aspect.READING;
        long measures = assignment.practical().steps().stream()
                .filter(Measure.class::isInstance)
                .count();
        int marks = (int) Math.ceil((reading ? 20.0 : 10.0) / Math.max(1, measures));
        return new Criterion(
                new Criterion.Id(id, aspect),
                marks,
                false,
                reading ? UsualBands.ofReadings(this, assignment) : UsualBands.ofRepeats(this, assignment));
    }

    @Override
    public List<FigureId> figuresWithBands(Aspect aspect) {
        return aspect == Aspect.READING ? figures : List.of();
    }

    @Override
    public void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {
        if (!procedure.fits(sheet)) {
            faults.add(at + ".procedure", TaskFaultCode.DOES_NOT_FIT, procedure.key());
        }
        MeasuringContext standing = Assignment.of(practical, sheet).standing();
        figures.stream()
                .flatMap(f -> procedure.lacking(f, figures, standing).stream())
                .map(Source.Datum::key)
                .distinct()
                .forEach(key -> faults.add(at + ".figures", TaskFaultCode.NOT_KNOWN, key));
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        for (FigureId figure : figures) {
            if (!procedure.sees().contains(figure)) {
                faults.add(at + ".figures", TaskFaultCode.NOT_SEEN, figure.key());
            } else if (!steering.leaves(figure)) {
                faults.add(at + ".figures", TaskFaultCode.ONE_WHEEL_SQUARED, figure.key());
            }
        }
        if (!procedure.taught().contains(taught)) {
            faults.add(at + ".working", TaskFaultCode.UNKNOWN, taught);
        }
    }

    @Override
    public void write(JsonGenerator json) {
        writeProcedure(json, procedure);
        writeFigures(json, figures);
        json.writeNumberProperty("repeats", repeats);
        if (!taught.equals(procedure.taught().get(0))) {
            json.writeStringProperty("working", taught);
        }
        if (steering != Steering.CLAMPED) {
            json.writeStringProperty("steering", steering.key());
        }
        stance.rideHeight().ifPresent(height -> json.writeNumberProperty(RIDE_HEIGHT, height));
        stance.load().ifPresent(load -> json.writeNumberProperty(LOAD, load));
    }

    /** The procedure, what it is read with where that is not the usual instrument, and whether run-out is taken off. */
    static void writeProcedure(JsonGenerator json, Procedure procedure) {
        json.writeStringProperty("procedure", procedure.key());
        if (!procedure.tools().isEmpty()) {
            json.writeObjectPropertyStart("tools");
            new TreeMap<>(procedure.tools()).forEach((tool, with) -> json.writeStringProperty(tool, with.key()));
            json.writeEndObject();
        }
        if (procedure.isRunOutTakenOff()) {
            json.writeStringProperty(RUN_OUT, TAKEN_OFF);
        }
    }

    static void writeFigures(JsonGenerator json, List<FigureId> figures) {
        writeFigures(json, "figures", figures);
    }

    static void writeFigures(JsonGenerator json, String name, List<FigureId> figures) {
        json.writeArrayPropertyStart(name);
        figures.forEach(f -> json.writeString(f.key()));
        json.writeEndArray();
    }

    static Measure read(String id, JsonObject json, TaskFaults faults) {
        faults.only(
                json,
                Set.of(
                        "id",
                        "kind",
                        "procedure",
                        "tools",
                        RUN_OUT,
                        "figures",
                        "repeats",
                        "working",
                        "steering",
                        RIDE_HEIGHT,
                        LOAD));
        Procedure procedure = procedure(json, faults);
        String working = json.has("working")
                ? faults.text(json, "working", LONGEST_KEY)
                : procedure.taught().get(0);
        return new Measure(
                id,
                procedure,
                faults.figures(json, "figures", MOST_FIGURES),
                faults.whole(json, "repeats", 1, Practical.MOST_REPEATS, 1),
                working,
                faults.word(json, "steering", Steering.values(), Steering.CLAMPED),
                new Stance(
                        json.has(RIDE_HEIGHT)
                                ? faults.between(json, RIDE_HEIGHT, Stance.LEAST_HEIGHT, Stance.MOST_HEIGHT)
                                : OptionalDouble.empty(),
                        json.has(LOAD) ? faults.between(json, LOAD, 0, Stance.MOST_LOAD) : OptionalDouble.empty()));
    }

    /** The procedure an object names, read with the tools it names; any where it names none, with the fault. */
    static Procedure procedure(JsonObject json, TaskFaults faults) {
        String key = faults.text(json, "procedure", LONGEST_KEY);
        Procedure procedure = Procedures.named(key).orElseGet(() -> {
            faults.unknown("procedure", key);
            return Procedures.all().get(0);
        });
        Procedure read = json.has("tools") ? procedure.with(tools(json, procedure, faults)) : procedure;
        if (!json.has(RUN_OUT)) {
            return read;
        }
        String runOut = faults.text(json, RUN_OUT, LONGEST_KEY);
        if (!runOut.equals(TAKEN_OFF) || !read.runsOut()) {
            faults.unknown(RUN_OUT, runOut);
        }
        return read.withRunOutTakenOff();
    }

    private static Map<String, CatalogueInstrument> tools(JsonObject json, Procedure procedure, TaskFaults faults) {
        Map<String, CatalogueInstrument> tools = new HashMap<>();
        JsonObject named = faults.object(json, "tools");
        faults.only(named, procedure.instruments().keySet());
        for (String tool : procedure.instruments().keySet()) {
            if (named.has(tool)) {
                Optional<CatalogueInstrument> with = procedure.choiceOf(tool).stream()
                        .filter(i -> i.key().equals(named.get(tool)))
                        .findFirst();
                with.ifPresentOrElse(
                        i -> tools.put(tool, i), () -> faults.unknown("tools", String.valueOf(named.get(tool))));
            }
        }
        return tools;
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Measure::read);
        }
    }
}
