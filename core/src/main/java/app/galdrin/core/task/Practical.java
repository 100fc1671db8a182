package app.galdrin.core.task;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A practical as it is set, on whatever vehicle; never changed once it was opened.
 *
 * @param steps in the order of the work
 * @param minutes limit of time, if there is one
 * @param frontsTo what front wheels are judged against; empty where that follows from the vehicle, {@link Assignment#frontsToThrustLine}
 * @param references whose readings sittings are marked against
 */
public record Practical(
        String title,
        OrderSchool school,
        DecisionRule rule,
        Mode mode,
        OutcomeSchool outcome,
        Optional<Integer> minutes,
        List<Step> steps,
        Scheme scheme,
        Optional<FrontDatum> frontsTo,
        ReferenceRule references) {

    public static final int MOST_STEPS = 40;
    public static final int MOST_LINES = 60;
    public static final int MOST_ROUNDS = 6;
    public static final int MOST_REPEATS = 10;
    public static final int MOST_MINUTES = 600;
    public static final int LONGEST_TITLE = 120;

    public Practical {
        steps = List.copyOf(steps);
    }

    /** Creates a practical that is marked against an instructor's own readings. */
    public Practical(
            String title,
            OrderSchool school,
            DecisionRule rule,
            Mode mode,
            OutcomeSchool outcome,
            Optional<Integer> minutes,
            List<Step> steps,
            Scheme scheme,
            Optional<FrontDatum> frontsTo) {
        this(title, school, rule, mode, outcome, minutes, steps, scheme, frontsTo, ReferenceRule.INSTRUCTOR);
    }

    /** Creates the same whose front wheels are judged against what the vehicle asks. */
    public Practical(
            String title,
            OrderSchool school,
            DecisionRule rule,
            Mode mode,
            OutcomeSchool outcome,
            Optional<Integer> minutes,
            List<Step> steps,
            Scheme scheme) {
        this(title, school, rule, mode, outcome, minutes, steps, scheme, Optional.empty());
    }

    /** Returns the same with another title. */
    public Practical titled(String other) {
        return new Practical(other, school, rule, mode, outcome, minutes, steps, scheme, frontsTo, references);
    }

    /** Returns the same with another order of adjusting. */
    public Practical with(OrderSchool other) {
        return new Practical(title, other, rule, mode, outcome, minutes, steps, scheme, frontsTo, references);
    }

    /** Returns the same with another rule for verdicts. */
    public Practical with(DecisionRule other) {
        return new Practical(title, school, other, mode, outcome, minutes, steps, scheme, frontsTo, references);
    }

    /** Returns the same in another mode. */
    public Practical with(Mode other) {
        return new Practical(title, school, rule, other, outcome, minutes, steps, scheme, frontsTo, references);
    }

    /** The same with other steps; its scheme is not theirs yet. */
    public Practical with(List<Step> others) {
        return new Practical(title, school, rule, mode, outcome, minutes, others, scheme, frontsTo, references);
    }

    /** Returns the same with another scheme. */
    public Practical with(Scheme other) {
        return new Practical(title, school, rule, mode, outcome, minutes, steps, other, frontsTo, references);
    }

    /** Returns the same with its outcome said otherwise. */
    public Practical with(OutcomeSchool other) {
        return new Practical(title, school, rule, mode, other, minutes, steps, scheme, frontsTo, references);
    }

    /** The same with another limit of time, in minutes, or none. */
    public Practical withMinutes(Optional<Integer> limit) {
        return new Practical(title, school, rule, mode, outcome, limit, steps, scheme, frontsTo, references);
    }

    /** The same, its front wheels judged against this; empty where that follows from the vehicle. */
    public Practical with(Optional<FrontDatum> datum) {
        return new Practical(title, school, rule, mode, outcome, minutes, steps, scheme, datum, references);
    }

    /** Returns the same, marked against other readings. */
    public Practical with(ReferenceRule readings) {
        return new Practical(title, school, rule, mode, outcome, minutes, steps, scheme, frontsTo, readings);
    }

    /** Every step, those within rounds behind their round. */
    public Stream<Step> allSteps() {
        return steps.stream().flatMap(s -> Stream.concat(Stream.of(s), s.within().stream()));
    }

    /** Returns a step by its name, within rounds too. */
    public Optional<Step> step(String id) {
        for (Step step : steps) {
            if (step.id().equals(id)) {
                return Optional.of(step);
            }
            for (Step inner : step.within()) {
                if (inner.id().equals(id)) {
                    return Optional.of(inner);
                }
            }
        }
        return Optional.empty();
    }

    /** Returns a measurement by its name, within rounds too. */
    public Optional<Measure> measure(String id) {
        return step(id).filter(Measure.class::isInstance).map(Measure.class::cast);
    }

    /** The steps of a kind, within rounds too. */
    public <T extends Step> Stream<T> of(Class<T> kind) {
        return allSteps().filter(kind::isInstance).map(kind::cast);
    }

    /** Returns the equipment that its measurements are taken with, each kind once. */
    public List<EquipmentKind> equipment() {
        return of(Measure.class)
                .flatMap(measure -> measure.equipment().stream())
                .distinct()
                .toList();
    }

    /**
     * The readings that a figure is judged and planned on: the last that a step before this one works it from, else asks for it, else
     * tells it beside what it asks for.
     */
    public Optional<Measure> measuring(FigureId figure, String beforeStep) {
        Optional<String> worked = worked(figure, beforeStep).map(Work.Item::from);
        if (worked.isPresent()) {
            return measure(worked.get());
        }
        List<Measure> telling = before(beforeStep)
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .filter(m -> m.tells(figure))
                .toList();
        return telling.stream()
                .filter(m -> m.figures().contains(figure))
                .reduce((a, b) -> b)
                .or(() -> telling.stream().reduce((a, b) -> b));
    }

    /** The first two measurements before a step that ask for a figure by different procedures. */
    public Optional<Comparison> comparison(FigureId figure, String beforeStep) {
        List<Measure> asking = before(beforeStep)
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .filter(m -> m.figures().contains(figure))
                .toList();
        return asking.stream()
                .skip(1)
                .filter(m ->
                        !m.procedure().key().equals(asking.get(0).procedure().key()))
                .findFirst()
                .map(second -> new Comparison(figure, asking.get(0), second));
    }

    /** Returns how a figure was last worked on paper before a step. */
    public Optional<Work.Item> worked(FigureId figure, String beforeStep) {
        return before(beforeStep)
                .filter(Work.class::isInstance)
                .map(Work.class::cast)
                .flatMap(w -> w.item(figure).stream())
                .reduce((a, b) -> b);
    }

    /** The step in which a figure is worked, before another. */
    public Optional<Work> workStep(FigureId figure, String beforeStep) {
        return before(beforeStep)
                .filter(Work.class::isInstance)
                .map(Work.class::cast)
                .filter(w -> w.item(figure).isPresent())
                .reduce((a, b) -> b);
    }

    private Stream<Step> before(String stepId) {
        return steps.stream().takeWhile(s -> !s.id().equals(stepId));
    }

    Optional<Measure> measureBefore(String stepId, String measureId) {
        return before(stepId)
                .filter(s -> s.id().equals(measureId))
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .findFirst();
    }

    /** Returns what adjusts these figures, each once, in their order; what only screens is never adjusted by itself. */
    public static List<FigureId.Adjustment> adjustments(Collection<FigureId> figures) {
        return figures.stream()
                .filter(f -> !f.measurand().isScreen())
                .map(FigureId::adjustment)
                .distinct()
                .toList();
    }

    /**
     * The parts that adjust these figures, in the order in which they are moved: the rear axle before the front, on each what disturbs
     * the others first.
     */
    public List<Adjuster> adjusters(Collection<FigureId> figures, SpecificationSheet sheet) {
        return adjustments(figures).stream()
                .sorted(Comparator.<FigureId.Adjustment>comparingInt(
                                a -> a.axle().filter(axle -> axle == Axle.REAR).isPresent() ? 0 : 1)
                        .thenComparing(a -> school.turn(a.measurand()).orElse(0)))
                .flatMap(a -> sheet.adjusters(a).stream())
                .distinct()
                .toList();
    }

    /** Names the figures that nothing measures before a step. */
    public void checkMeasured(Step step, List<FigureId> figures, String at, TaskFaults faults) {
        for (FigureId figure : figures) {
            if (measuring(figure, step.id()).isEmpty()) {
                faults.add(at + ".figures", TaskFaultCode.NOT_MEASURED, figure.key());
            }
        }
    }

    /** Returns everything wrong with it, whatever the vehicle. */
    public List<TaskFault> faults() {
        var faults = new TaskFaults();
        checkWhole(faults);
        for (int i = 0; i < steps.size(); i++) {
            steps.get(i).check(this, "steps." + i, faults);
        }
        checkScheme(faults);
        return faults.found();
    }

    private void checkWhole(TaskFaults faults) {
        if (steps.isEmpty()) {
            faults.add("steps", TaskFaultCode.NO_STEPS, "");
        } else if (steps.stream().noneMatch(HandIn.class::isInstance)) {
            faults.add("steps", TaskFaultCode.NO_HAND_IN, "");
        }
        Set<String> ids = new HashSet<>();
        allSteps().forEach(step -> {
            if (!ids.add(step.id())) {
                faults.add("steps", TaskFaultCode.TWICE, step.id());
            }
        });
    }

    private void checkScheme(TaskFaults faults) {
        if (scheme.available() == 0) {
            faults.add("marks", TaskFaultCode.NO_MARKS, "");
        }
        for (Criterion criterion : scheme.criteria()) {
            boolean there = step(criterion.id().step())
                    .filter(s -> s.aspects().contains(criterion.id().aspect()))
                    .isPresent();
            boolean endless = criterion.id().aspect() == Aspect.TIME && minutes.isEmpty();
            if (!there || endless) {
                faults.add("marks", TaskFaultCode.NO_ASPECT, criterion.id().key());
            } else {
                checkBands(criterion, faults);
            }
        }
    }

    /** Checks that every figure that is compared has a band. */
    private void checkBands(Criterion criterion, TaskFaults faults) {
        step(criterion.id().step())
                .orElseThrow()
                .figuresWithBands(criterion.id().aspect())
                .stream()
                .filter(figure -> criterion.band(figure).isEmpty())
                .forEach(figure -> faults.add("marks", TaskFaultCode.NO_BAND, figure.key()));
    }

    /** Returns everything wrong with it on a vehicle. */
    public List<TaskFault> faults(SpecificationSheet sheet) {
        var faults = new TaskFaults();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            step.check(this, sheet, "steps." + i, faults);
            int lines = step.lines(sheet).size();
            if (lines > MOST_LINES) {
                faults.add("steps." + i, TaskFaultCode.TOO_MANY, String.valueOf(lines), MOST_LINES);
            }
        }
        return faults.found();
    }

    /** Returns whether another practical has the very same steps and asks the same in each, in whatever order: a sheet of one is a sheet of the other. */
    public boolean hasTheStepsOf(Practical other) {
        return steps.stream()
                .map(Step::ordered)
                .toList()
                .equals(other.steps.stream().map(Step::ordered).toList());
    }

    /** The measurements that read one state of the vehicle: in round 0 as it is found, later those within rounds. */
    public List<Measure> measures(int round) {
        return round > 0
                ? steps.stream().flatMap(s -> s.within().stream()).toList()
                : steps.stream()
                        .filter(Measure.class::isInstance)
                        .map(Measure.class::cast)
                        .toList();
    }

    /** The figures that are asked for, in the order of a sheet. */
    public List<FigureId> figures() {
        List<FigureId> figures = new ArrayList<>();
        of(Measure.class).flatMap(m -> m.figures().stream()).distinct().sorted().forEach(figures::add);
        return figures;
    }
}
