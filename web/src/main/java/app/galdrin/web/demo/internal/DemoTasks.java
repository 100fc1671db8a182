package app.galdrin.web.demo.internal;

import app.galdrin.core.condition.Condition;
import app.galdrin.core.draft.TaskEditor;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.jobcard.JobCard;
import app.galdrin.core.jobcard.Repair;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.question.Question;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.core.standing.StandingCheck;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReadyList;
import app.galdrin.core.task.Reason;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** The practicals of the demo that are more than a ready-made one. */
final class DemoTasks {

    private static final int REPEATS = 2;

    /** Pressures of the van's plate, kPa. */
    private static final double FRONT_PRESSURE = 240;

    private static final double REAR_PRESSURE = 280;

    private DemoTasks() {}

    /** The ready-made toe task by one procedure. */
    static Practical toe(WrittenSheet.ParsedSheet vehicle, String procedure, String title, Mode mode) {
        Practical start = TaskStart.TOE.on(vehicle.sheet(), title, OrderSchool.A, AnswerUnit.DEGREES);
        Procedure with = Procedures.of(procedure).withRunOutTakenOff();
        var measure = Measure.of("toe", with, TaskStart.usualFigures(with, Measurand.TOE), REPEATS);
        List<Step> steps = new ArrayList<>();
        for (Step step : start.steps()) {
            steps.add(replaced(step, measure));
        }
        return TaskStart.withDefaults(start.titled(title).with(mode).with(steps), vehicle.sheet());
    }

    /** The same with the reasons for protective equipment, what is done before wheels go on to plates, and the figures on the way. */
    static Practical askingWhy(WrittenSheet.ParsedSheet vehicle, Practical practical) {
        List<Step> steps = new ArrayList<>();
        for (Step step : practical.steps()) {
            if (step instanceof Checklist list && ReadyList.of(list) == ReadyList.PREPARATION) {
                steps.add(new Checklist(
                        list.id(),
                        list.items().stream().map(DemoTasks::askingWhy).toList()));
            } else if (step instanceof Work work) {
                steps.add(new Work(
                        work.id(),
                        work.asked().stream()
                                .map(i -> onTheWay(i, practical, vehicle.sheet()))
                                .toList()));
            } else {
                steps.add(step);
            }
        }
        return TaskStart.withDefaults(practical.with(steps), vehicle.sheet());
    }

    private static Checklist.Item askingWhy(Checklist.Item item) {
        List<Reason> why = item.id().equals("protection")
                ? List.of(
                        new Reason(List.of("fall", "drop")),
                        new Reason(List.of("rust", "corro", "eye")),
                        new Reason(List.of("grease", "oil", "skin")))
                : item.why();
        return new Checklist.Item(
                item.id(), item.critical(), item.witnessed(), item.id().equals("wheelsOnPlates"), why);
    }

    private static Work.Item onTheWay(Work.Item item, Practical practical, SpecificationSheet sheet) {
        Measure from = practical.measure(item.from()).orElseThrow();
        return new Work.Item(item.figure(), item.from(), item.unit(), from.onTheWay(item.figure(), sheet));
    }

    private static Step replaced(Step step, Measure measure) {
        if (step instanceof Measure) {
            return measure;
        }
        List<FigureId> figures = measure.figures();
        if (step instanceof Work work) {
            return new Work(
                    work.id(),
                    figures.stream()
                            .map(f -> new Work.Item(f, measure.id(), AnswerUnit.DEGREES))
                            .toList());
        }
        if (step instanceof Judge judge) {
            return new Judge(judge.id(), figures);
        }
        if (step instanceof Plan plan) {
            return new Plan(plan.id(), figures);
        }
        return step instanceof Round round
                ? new Round(round.id(), List.of(Measure.of("toeAgain", measure.procedure(), figures, REPEATS)), 1)
                : step;
    }

    static Practical fullFront(SpecificationSheet sheet) {
        Practical p = TaskStart.FULL_FRONT.on(
                sheet, "The full front: caster, camber, toe", OrderSchool.A, AnswerUnit.DEGREES);
        List<Step> steps =
                p.steps().stream().map(s -> askingForToesReadings(s, p)).toList();
        return p.with(steps);
    }

    /** Caster and camber by sweep in front, camber behind, all four toes: the rear first, since it can be adjusted. */
    static Practical bothEnds() {
        SpecificationSheet sheet = DemoVehicles.rangerAsPrinted().sheet();
        Practical start = TaskStart.FULL_FRONT.on(sheet, "Both ends of the pick-up", OrderSchool.A, AnswerUnit.DEGREES);
        List<FigureId> rear = List.of(
                FigureId.of(Measurand.CAMBER, Wheel.REAR_LEFT), FigureId.of(Measurand.CAMBER, Wheel.REAR_RIGHT));
        List<FigureId> swept = List.of(
                FigureId.of(Measurand.CASTER, Wheel.FRONT_LEFT),
                FigureId.of(Measurand.CASTER, Wheel.FRONT_RIGHT),
                FigureId.of(Measurand.CAMBER, Wheel.FRONT_LEFT),
                FigureId.of(Measurand.CAMBER, Wheel.FRONT_RIGHT));
        List<FigureId> toes = List.of(
                FigureId.of(Measurand.TOE, Wheel.REAR_LEFT),
                FigureId.of(Measurand.TOE, Wheel.REAR_RIGHT),
                FigureId.of(Measurand.THRUST, Axle.REAR),
                FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT),
                FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT),
                FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT));
        List<Measure> measures = List.of(
                Measure.of("rearCamber", Procedures.of("inclinometer"), rear, REPEATS),
                Measure.of("caster", Procedures.of("sweep"), swept, REPEATS),
                Measure.of("toe", Procedures.of("strings").withRunOutTakenOff(), toes, REPEATS));
        List<FigureId> all =
                measures.stream().flatMap(m -> m.figures().stream()).toList();
        List<Step> steps = new ArrayList<>();
        steps.add(start.steps().get(0));
        steps.addAll(measures);
        steps.add(inDegrees(measures));
        steps.add(new Judge("judge", all));
        steps.add(new Plan("plan", all));
        steps.add(new Round(
                "adjust", measures.stream().map(m -> Round.again("adjust", m)).toList(), 2));
        steps.addAll(
                start.steps().subList(start.steps().size() - 2, start.steps().size()));
        return TaskStart.withDefaults(start.with(steps), sheet);
    }

    /** All steps of the work on the second van, which comes after a track-rod end was replaced; ready to be opened. */
    static Practical wholeJob() {
        SpecificationSheet sheet = DemoVehicles.SECOND_VAN.sheet();
        Practical start = new TaskEditor(sheet)
                .started(TaskStart.WHOLE_JOB, "The whole job: track-rod end", AnswerUnit.DEGREES)
                .practical();
        List<Step> steps = new ArrayList<>();
        for (Step step : start.steps()) {
            if (step instanceof JobCard card) {
                steps.add(new JobCard(
                        card.id(),
                        card.points(),
                        Repair.TRACK_ROD_END,
                        "The left track-rod end was replaced. Since then the steering wheel stands off to the right."));
            } else if (step instanceof Condition condition) {
                steps.add(new Condition(
                        condition.id(),
                        condition.points(),
                        Optional.empty(),
                        OptionalDouble.of(FRONT_PRESSURE),
                        OptionalDouble.of(REAR_PRESSURE)));
            } else {
                steps.add(step);
            }
            if (step instanceof StandingCheck) {
                steps.add(new Question(
                        Question.KIND,
                        "Why is toe set last?",
                        AnswerKind.TEXT.usual(),
                        "",
                        0,
                        List.of(
                                new Reason(List.of("caster", "camber")),
                                new Reason(List.of("change", "move", "disturb")))));
            }
        }
        return TaskStart.withDefaults(start.with(Mode.PRACTICE).with(steps), sheet);
    }

    private static Step askingForToesReadings(Step step, Practical practical) {
        return step instanceof Work work
                ? new Work(
                        work.id(),
                        work.asked(),
                        List.of(practical.measure("toe").orElseThrow().target()))
                : step;
    }

    /** All that was measured is worked, in degrees. */
    static Work inDegrees(List<Measure> measures) {
        return new Work(
                "work",
                measures.stream()
                        .flatMap(m -> m.figures().stream().map(f -> new Work.Item(f, m.id(), AnswerUnit.DEGREES)))
                        .toList());
    }
}
