package app.galdrin.core.draft;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Family;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Stance;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Steering;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskFault;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Edits measurements: the procedure with its instruments, the figures, the repeats. */
@AutoService(StepEditor.class)
public final class MeasureEditor implements StepEditor {

    private static final int TURN = 10;
    private static final int REPEATS = 2;

    @Override
    public String kind() {
        return Measure.KIND;
    }

    @Override
    public List<Addition> additions() {
        return Procedures.all().stream()
                .map(Procedure::family)
                .distinct()
                .map(family -> new Addition("measure:" + family.key(), family.key(), "family." + family.key()))
                .toList();
    }

    @Override
    public Step made(Addition addition, String id) {
        List<Procedure> family = Procedures.all().stream()
                .filter(p -> p.family().key().equals(addition.id()))
                .toList();
        Procedure procedure = family.stream()
                .filter(MeasureEditor::tellsWhatItsFamilyIsNamedFor)
                .findFirst()
                .orElse(family.get(0));
        return Measure.of(id, procedure, TaskStart.usualFigures(procedure), REPEATS);
    }

    private static boolean tellsWhatItsFamilyIsNamedFor(Procedure procedure) {
        return TaskStart.usualFigures(procedure).stream()
                .anyMatch(f ->
                        f.measurand().base().key().equals(procedure.family().key()));
    }

    @Override
    public int turn(Step step) {
        return TURN;
    }

    @Override
    public Optional<Integer> turn(Step step, OrderSchool school) {
        return ((Measure) step)
                .figures().stream()
                        .flatMap(f -> school.turn(f.measurand()).stream())
                        .min(Integer::compare);
    }

    @Override
    public Optional<Mend> mend(Step step, TaskFault fault, SpecificationSheet sheet) {
        var measure = (Measure) step;
        String fields = TaskEditor.STEPS + measure.id();
        return switch (fault.reason()) {
            case ONE_WHEEL_SQUARED ->
                Optional.of(new Mend(fields + ".steering", Steering.CLAMPED.key(), "mend.clamp", ""));
            case NOT_SEEN, DOES_NOT_FIT ->
                byAnother(measure, sheet)
                        .map(key -> new Mend(fields + ".procedure", key, "mend.procedure", "procedure." + key));
            default -> Optional.empty();
        };
    }

    /** The key of another procedure of the family that tells all that is wanted on this vehicle. */
    private static Optional<String> byAnother(Measure measure, SpecificationSheet sheet) {
        return procedures(measure.procedure().family(), sheet).stream()
                .filter(p -> p.sees().containsAll(measure.figures()))
                .map(Procedure::key)
                .findFirst();
    }

    /** Returns the procedures of a family that a vehicle has what they need for. */
    public static List<Procedure> procedures(Family family, SpecificationSheet sheet) {
        return Procedures.all().stream()
                .filter(p -> p.family() == family && p.fits(sheet))
                .toList();
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) throws FieldRefusal {
        var measure = (Measure) step;
        return switch (field) {
            case "procedure" -> by(measure, procedure(measure.procedure().family(), typed));
            case "figure" -> figure(measure, part, FieldText.isTicked(typed));
            case "repeats" -> measure.times(FieldText.whole(typed, 1, Practical.MOST_REPEATS));
            case "working" -> taught(measure, typed);
            case "steering" -> measure.with(FieldText.word(Steering.values(), typed));
            case "rideHeight" ->
                measure.with(new Stance(
                        stated(typed, (int) Stance.LEAST_HEIGHT, (int) Stance.MOST_HEIGHT),
                        measure.stance().load()));
            case "load" ->
                measure.with(new Stance(measure.stance().rideHeight(), stated(typed, 0, (int) Stance.MOST_LOAD)));
            case "tool" -> measure.by(p -> read(p, tools(p, part, typed), p));
            case "runOut" ->
                FieldText.isTicked(typed) == measure.procedure().isRunOutTakenOff()
                        ? measure
                        : measure.by(p -> runOut(p, FieldText.isTicked(typed)));
            default -> step;
        };
    }

    /** A whole number that may be left out. */
    private static OptionalDouble stated(String typed, int least, int most) throws FieldRefusal {
        return typed.isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(FieldText.whole(typed.strip(), least, most));
    }

    private static Procedure procedure(Family family, String key) throws FieldRefusal {
        return Procedures.named(key)
                .filter(p -> p.family() == family)
                .orElseThrow(() -> new FieldRefusal("field.noChoice", key));
    }

    /**
     * Figures that nobody has chosen are those that are usual for the procedure. Chosen ones stay where any procedure of the family can tell them:
     * what this one cannot is refused with its reason rather than dropped.
     */
    private static Measure by(Measure measure, Procedure named) {
        if (named.key().equals(measure.procedure().key())) {
            return measure;
        }
        Map<String, CatalogueInstrument> tools = new HashMap<>();
        measure.procedure().tools().forEach((tool, instrument) -> {
            if (named.instruments().containsKey(tool) && named.choiceOf(tool).contains(instrument)) {
                tools.put(tool, instrument);
            }
        });
        Procedure procedure = read(named, tools, measure.procedure());
        boolean untouched = measure.figures().equals(TaskStart.usualFigures(measure.procedure()));
        List<FigureId> figures = measure.figures().stream()
                .filter(f -> procedure.sees().contains(f) || !untouched && isOfFamily(procedure, f))
                .toList();
        boolean whole = figures.size() == measure.figures().size();
        return measure.by(before -> procedure)
                .asking(figures.isEmpty() || untouched && !whole ? TaskStart.usualFigures(procedure) : figures)
                .teaching(
                        procedure.taught().contains(measure.taught())
                                ? measure.taught()
                                : procedure.taught().get(0));
    }

    private static boolean isOfFamily(Procedure procedure, FigureId figure) {
        return Procedures.seeing(figure).stream().anyMatch(p -> p.family() == procedure.family());
    }

    private static Measure figure(Measure measure, String key, boolean wanted) throws FieldRefusal {
        Optional<FigureId> figure = FigureId.parse(key)
                .filter(f -> measure.procedure().sees().contains(f) || isOfFamily(measure.procedure(), f));
        if (figure.isEmpty() || wanted == measure.figures().contains(figure.get())) {
            return measure;
        }
        List<FigureId> figures = new ArrayList<>(measure.figures());
        if (wanted) {
            figures.add(figure.get());
        } else if (figures.size() == 1) {
            throw new FieldRefusal("bench.noFigures", "");
        } else {
            figures.remove(figure.get());
        }
        return measure.asking(figures);
    }

    private static Measure taught(Measure measure, String typed) throws FieldRefusal {
        if (!measure.procedure().taught().contains(typed)) {
            throw new FieldRefusal("field.noChoice", typed);
        }
        return measure.teaching(typed);
    }

    /** Returns what is read otherwise than with the usual instrument; one that does not do for it is not taken. */
    private static Map<String, CatalogueInstrument> tools(Procedure procedure, String tool, String typed) {
        Map<String, CatalogueInstrument> tools = new HashMap<>(procedure.tools());
        if (procedure.instruments().containsKey(tool)) {
            tools.remove(tool);
            CatalogueInstrument usual =
                    Procedures.of(procedure.key()).instruments().get(tool);
            procedure.choiceOf(tool).stream()
                    .filter(i -> i != usual && i.key().equals(typed))
                    .forEach(i -> tools.put(tool, i));
        }
        return tools;
    }

    private static Procedure runOut(Procedure procedure, boolean takenOff) {
        Procedure plain = plain(procedure, procedure.tools(), procedure.setUpCounts());
        return takenOff ? plain.withRunOutTakenOff() : plain;
    }

    /** A procedure read with these instruments, and with run-out taken off where it was for another. */
    private static Procedure read(Procedure named, Map<String, CatalogueInstrument> tools, Procedure before) {
        Procedure plain = plain(named, tools, before.setUpCounts());
        return before.isRunOutTakenOff() && plain.runsOut() ? plain.withRunOutTakenOff() : plain;
    }

    private static Procedure plain(Procedure named, Map<String, CatalogueInstrument> tools, boolean setUpCounts) {
        Procedure plain = Procedures.of(named.key()).with(tools);
        return setUpCounts ? plain : plain.withoutSetUp();
    }
}
