package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import tools.jackson.core.JsonGenerator;

/**
 * Figures worked out on paper from the apprentice's own readings, and the wanted ones turned back into readings.
 *
 * @param asked in the order in which they are asked
 * @param targets whose readings are asked too
 */
public record Work(String id, List<Item> asked, List<Target> targets) implements Step {

    public static final String KIND = "work";

    private static final int MOST_TARGETS = 6;
    private static final int MOST_FIGURES = 20;

    /** No angle of a wheel is greater, deg. */
    private static final double MOST_ANGLE = 30;

    private static final double MOST_LENGTH = 200;
    private static final int LONGEST_ID = 40;

    /**
     * One figure asked for.
     *
     * @param from id of the step whose readings it is worked from
     * @param steps what is written on the way to it
     */
    public record Item(FigureId figure, String from, AnswerUnit unit, List<Intermediate> steps) {
        public Item {
            steps = List.copyOf(steps);
        }

        public Item(FigureId figure, String from, AnswerUnit unit) {
            this(figure, from, unit, List.of());
        }

        /** The line an intermediate figure is written on. */
        public String line(Intermediate step) {
            return figure.key() + ".via." + step.key();
        }

        private Stream<Line> lines() {
            Stream<Line> via = steps.stream().map(step -> Line.of(line(step), answer(step)));
            return Stream.concat(
                    via, Stream.of(Line.of(figure.key(), answer(this)).about(figure)));
        }
    }

    public Work {
        asked = List.copyOf(asked);
        targets = List.copyOf(targets);
    }

    public Work(String id, List<Item> asked) {
        this(id, asked, List.of());
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        Stream<Line> figures = asked.stream().flatMap(Item::lines);
        return Stream.concat(figures, targets.stream().flatMap(t -> t.lines(sheet).stream()))
                .toList();
    }

    private static AnswerType answer(Item item) {
        double most = item.unit().quantity() == Quantity.ANGLE ? MOST_ANGLE : MOST_LENGTH;
        return new AnswerType.Amount(item.unit().quantity(), item.unit().defaultUnit(), -most, most);
    }

    private static AnswerType answer(Intermediate step) {
        Unit unit = switch (step.unit().quantity()) {
            case LENGTH -> Unit.MM;
            case ANGLE -> Unit.DEG;
            case COUNT, TORQUE, PRESSURE -> Unit.TIMES;
        };
        return new AnswerType.Amount(unit.quantity(), unit, step.least(), step.most());
    }

    /** Returns how a figure is asked for. */
    public Optional<Item> item(FigureId figure) {
        return asked.stream().filter(i -> i.figure().equals(figure)).findFirst();
    }

    @Override
    public Work by(UnaryOperator<Procedure> change) {
        return new Work(
                id,
                asked,
                targets.stream()
                        .map(t -> new Target(t.from(), change.apply(t.procedure()), t.figures()))
                        .toList());
    }

    @Override
    public Set<Aspect> aspects() {
        return EnumSet.of(Aspect.WORKING);
    }

    @Override
    public Work ordered() {
        return new Work(
                id,
                asked.stream()
                        .sorted(Comparator.comparing(Item::figure).thenComparing(Item::from))
                        .toList(),
                targets.stream()
                        .map(t -> new Target(
                                t.from(),
                                t.procedure(),
                                t.figures().stream().sorted().toList()))
                        .toList());
    }

    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        return new Criterion(new Criterion.Id(id, aspect), 20, false, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        List<FigureId> seen = new ArrayList<>();
        for (Item item : asked) {
            if (seen.contains(item.figure())) {
                faults.add(at + ".figures", TaskFaultCode.TWICE, item.figure().key());
            }
            seen.add(item.figure());
            if (!item.unit().fits(item.figure())) {
                faults.add(at + ".figures", TaskFaultCode.UNKNOWN, item.unit().key());
            }
            Optional<Measure> from = practical.measureBefore(id, item.from());
            if (from.isEmpty() || !from.get().tells(item.figure())) {
                faults.add(
                        at + ".figures",
                        TaskFaultCode.NOT_MEASURED,
                        item.figure().key());
            } else if (!from.get().procedure().isWorkedOnPaper(item.figure())) {
                faults.add(
                        at + ".figures",
                        TaskFaultCode.GIVEN_NOT_WORKED,
                        item.figure().key());
            }
        }
        targets.forEach(t -> checkTarget(practical, t, at + ".targets", faults));
    }

    private void checkTarget(Practical practical, Target target, String at, TaskFaults faults) {
        Optional<Measure> from = practical
                .measureBefore(id, target.from())
                .filter(m -> m.procedure().equals(target.procedure()));
        if (from.isEmpty() || !target.figures().stream().allMatch(from.get()::tells)) {
            faults.add(at, TaskFaultCode.NOT_MEASURED, target.from());
        }
        if (targets.stream().filter(t -> t.from().equals(target.from())).count() > 1) {
            faults.add(at, TaskFaultCode.TWICE, target.from());
        }
    }

    @Override
    public void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {
        for (Item item : asked) {
            boolean overLength = item.unit().quantity() == Quantity.LENGTH
                    && item.figure().measurand().quantity() == Quantity.ANGLE;
            boolean noBaseline = practical
                    .measure(item.from())
                    .flatMap(m -> m.procedure()
                            .baseline()
                            .apply(Assignment.of(practical, sheet).standing()))
                    .isEmpty();
            if (overLength && noBaseline) {
                faults.add(at + ".figures", TaskFaultCode.UNKNOWN, item.unit().key());
            }
            List<Intermediate> known = practical
                    .measure(item.from())
                    .map(m -> m.onTheWay(item.figure(), sheet))
                    .orElse(List.of());
            item.steps().stream()
                    .filter(step -> !known.contains(step))
                    .forEach(step -> faults.add(at + ".figures", TaskFaultCode.UNKNOWN, step.key()));
        }
    }

    @Override
    public void write(JsonGenerator json) {
        json.writeArrayPropertyStart("figures");
        for (Item item : asked) {
            json.writeStartObject();
            json.writeStringProperty("figure", item.figure().key());
            json.writeStringProperty("from", item.from());
            json.writeStringProperty("unit", item.unit().key());
            if (!item.steps().isEmpty()) {
                json.writeArrayPropertyStart("steps");
                item.steps().forEach(step -> json.writeString(step.key()));
                json.writeEndArray();
            }
            json.writeEndObject();
        }
        json.writeEndArray();
        if (!targets.isEmpty()) {
            writeTargets(json);
        }
    }

    private void writeTargets(JsonGenerator json) {
        json.writeArrayPropertyStart("targets");
        for (Target target : targets) {
            json.writeStartObject();
            json.writeStringProperty("from", target.from());
            Measure.writeProcedure(json, target.procedure());
            Measure.writeFigures(json, target.figures());
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    static Work read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", "figures", "targets"));
        List<Item> asked = new ArrayList<>();
        for (JsonObject item : faults.objects(json, "figures", Practical.MOST_LINES)) {
            faults.only(item, Set.of("figure", "from", "unit", "steps"));
            String key = faults.text(item, "figure", LONGEST_ID);
            Optional<FigureId> figure = FigureId.parse(key);
            String from = faults.text(item, "from", LONGEST_ID);
            AnswerUnit unit = faults.word(item, "unit", AnswerUnit.values(), AnswerUnit.DEGREES);
            List<Intermediate> steps = item.has("steps") ? steps(item, faults) : List.of();
            figure.ifPresentOrElse(f -> asked.add(new Item(f, from, unit, steps)), () -> faults.unknown("figure", key));
        }
        return new Work(id, asked, readTargets(json, faults));
    }

    private static List<Intermediate> steps(JsonObject item, TaskFaults faults) {
        List<Intermediate> steps = new ArrayList<>();
        for (String key : faults.texts(item, "steps", Intermediate.values().length, LONGEST_ID)) {
            Keyed.find(Intermediate.values(), key)
                    .filter(step -> !steps.contains(step))
                    .ifPresentOrElse(steps::add, () -> faults.unknown("steps", key));
        }
        return steps;
    }

    private static List<Target> readTargets(JsonObject json, TaskFaults faults) {
        List<Target> targets = new ArrayList<>();
        if (json.has("targets")) {
            for (JsonObject target : faults.objects(json, "targets", MOST_TARGETS)) {
                faults.only(target, Set.of("from", "procedure", "tools", Measure.RUN_OUT, "figures"));
                targets.add(new Target(
                        faults.text(target, "from", LONGEST_ID),
                        Measure.procedure(target, faults),
                        faults.figures(target, "figures", MOST_FIGURES)));
            }
        }
        return targets;
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Work::read);
        }
    }
}
