package app.galdrin.core.proof;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Source.EarlierFigure;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One task that is tried: a procedure with its usual figures, worked in a unit, repeated so often, judged by a rule; after adjusting
 * read again.
 *
 * @param name what it is counted under: its procedure, or that it has several
 * @param measure the one that slips are made in
 */
record Subject(String name, Measure measure, Work work, Judge judge, Round round, Assignment assignment) {

    static final List<Integer> REPEATS = List.of(2, 3, 5);

    /** Procedures of a task of several measurements. */
    private static final List<String> MIXED = List.of("strings", "inclinometer", "sweep");

    /** The surveyed pitch, degrees; the true one differs by its uncertainty. */
    private static final double PITCH = 0.2;

    private static final double ROLL = -0.3;
    private static final double SURVEYED = 0.03;

    static final BayFloor FLOOR =
            new BayFloor(1, Math.toRadians(PITCH), Math.toRadians(ROLL), Math.toRadians(SURVEYED));

    /** Every procedure in every unit, number of repeats and rule; turn-out at an angle is worked as at the locks, which the sheet gives. */
    static List<Subject> all() {
        List<Subject> all = new ArrayList<>();
        for (Procedure procedure :
                Procedures.all().stream().filter(Subject::isGiven).toList()) {
            for (AnswerUnit unit : units(procedure)) {
                for (int repeats : REPEATS) {
                    for (DecisionRule rule : DecisionRule.values()) {
                        all.add(of(procedure, unit, repeats, rule));
                        if (procedure.key().equals(MIXED.get(0))) {
                            all.add(mixed(unit, repeats, rule));
                        }
                    }
                }
            }
        }
        return all;
    }

    /** Angles are answered in millimetres where there is a length that they are over. */
    private static List<AnswerUnit> units(Procedure procedure) {
        var standing = new MeasuringContext(ProofVehicle.SHEET, FLOOR);
        return Stream.of(AnswerUnit.values())
                .filter(unit -> unit.quantity() == Quantity.ANGLE
                        || procedure.baseline().apply(standing).isPresent()
                        || procedure.sees().stream().allMatch(f -> f.measurand().quantity() == Quantity.LENGTH))
                .toList();
    }

    private static boolean isGiven(Procedure procedure) {
        return procedure.sees().stream()
                .anyMatch(figure -> ProofVehicle.SHEET.limits(figure).isPresent());
    }

    static Subject of(Procedure procedure, AnswerUnit unit, int repeats, DecisionRule rule) {
        return of(procedure.key(), procedure, List.of(), unit, repeats, rule);
    }

    /** A task that measures toe, camber and caster, each by its own way, so often; toe is worked and judged. */
    private static Subject mixed(AnswerUnit unit, int repeats, DecisionRule rule) {
        List<Measure> also = MIXED.stream()
                .skip(1)
                .map(Procedures::of)
                .map(way -> Measure.of("read-" + way.key(), way, TaskStart.usualFigures(way), repeats))
                .toList();
        return of("mixed", Procedures.of(MIXED.get(0)), also, unit, repeats, rule);
    }

    private static Subject of(
            String name, Procedure procedure, List<Measure> also, AnswerUnit unit, int repeats, DecisionRule rule) {
        List<FigureId> figures = new ArrayList<>(TaskStart.usualFigures(procedure));
        // a twisted knuckle shows only where both of its faces are read
        TaskStart.usualFigures(procedure, Measurand.KINGPIN_TWIST).forEach(figures::add);
        Measure measure = Measure.of("read", procedure, figures, repeats);
        Work work = new Work(
                "work",
                figures.stream()
                        .filter(procedure::isWorkedOnPaper)
                        .map(f -> new Work.Item(f, measure.id(), unit.orFitting(f)))
                        .toList());
        var judge = new Judge(
                "judge",
                figures.stream()
                        .filter(f -> ProofVehicle.SHEET.limits(f).isPresent())
                        .toList());
        var round = new Round("adjust", List.of(measure.as("again")), 1);
        List<Step> steps = new ArrayList<>();
        given(measure).ifPresent(steps::add);
        steps.add(measure);
        steps.addAll(also);
        steps.addAll(List.of(work, judge, round, new HandIn("handIn")));
        var bare = new Practical(
                name,
                OrderSchool.A,
                rule,
                Mode.ASSESSMENT,
                OutcomeSchool.COMPETENCE,
                Optional.empty(),
                steps,
                new Scheme(List.of(), 0));
        var practical = bare.with(SchemeDefaults.of(bare, ProofVehicle.SHEET));
        return new Subject(name, measure, work, judge, round, new Assignment(practical, ProofVehicle.SHEET, FLOOR));
    }

    /** Returns a measurement of what has to be known before, by the first procedure that tells all of it. */
    private static Optional<Measure> given(Measure measure) {
        List<FigureId> own = measure.procedure().given(measure.taught(), measure.figures()).stream()
                .filter(EarlierFigure.class::isInstance)
                .map(given -> ((EarlierFigure) given).figure())
                .distinct()
                .toList();
        return own.isEmpty()
                ? Optional.empty()
                : Procedures.all().stream()
                        .filter(p -> p.sees().containsAll(own))
                        .findFirst()
                        .map(p -> Measure.of("before", p, own, 2));
    }

    /** The measurements as found, in order. */
    List<Measure> measures() {
        return assignment.practical().measures(0).stream().toList();
    }
}
