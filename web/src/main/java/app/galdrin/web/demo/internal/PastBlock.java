package app.galdrin.web.demo.internal;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Grade;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.moderation.Moderation;
import app.galdrin.web.moderation.ModerationDecision;
import app.galdrin.web.moderation.ModerationSheet;
import app.galdrin.web.moderation.Moderations;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A past block: sixteen people on one sheet, every slip of its procedures made by somebody, marked, sampled and partly returned. */
@Component
class PastBlock {

    private static final int REPEATS = 2;
    private static final int BAY = 1;
    private static final int STUDIED = 5;
    private static final long SEED = 20261106;

    /** Toe of the left wheel, deg; the sheet allows up to 0.03. */
    private static final double AT_THE_EDGE = 0.03;

    private static final double OUTSIDE = 0.21;

    private static final List<String> NAMES = List.of(
            "Agnes Holm",
            "Ravi Teller",
            "Noor Wystan",
            "Felix Arden",
            "Dilys Kroft",
            "Emeka Stroud",
            "Ines Valla",
            "Teo Brandt",
            "Marit Osei",
            "Gwil Parry",
            "Suki Lander",
            "Owen Tarn",
            "Zofia Reed",
            "Kofi Marsh",
            "Lotte Vane",
            "Ben Achterberg");

    /** The mistakes of each person, in the order of the names. */
    private static final List<Habit> HABITS = List.of(
            Habit.CAREFUL,
            Habit.working(Map.of("toe", "methodSign")),
            Habit.working(Map.of("toe", "oneWheelForTotal", "bars", "doublingForgotten")),
            Habit.working(Map.of("toe", "twiceOneWheel", "caster", "factorForgotten")),
            Habit.working(Map.of("toe", "mmForDegrees")).andPlan("wrongWay"),
            Habit.working(Map.of("toe", "leftRightSwapped", "bars", "wrongBaseline")),
            Habit.working(Map.of("toe", "frontRearSwapped", "camber", "ninetyAsCamber")),
            Habit.working(Map.of("toe", "inchesUnconverted"))
                    .andPlan("wholeOnEachSide")
                    .without("toe.front.left", "toe.front.right"),
            Habit.working(Map.of("toe", "gapsUnconverted", "camber", "methodSign")),
            Habit.working(Map.of("toe", "skewLeftOut", "caster", "oneAndAHalfUsed")),
            Habit.working(Map.of("toe", "skewAdded", "camber", "floorIgnored")),
            Habit.working(Map.of("toe", "minutesAsDecimals", "camber", "floorWrongWay"))
                    .andPlan("wrongLinkage"),
            Habit.working(Map.of("toe", "firstRepeatOnly", "caster", "camberSignsLost")),
            Habit.CAREFUL
                    .andReading("toe", "leftRightSwapped")
                    .andReading("bars", "markMiscounted")
                    .andVerdict("limitsSwapped"),
            Habit.CAREFUL.andPlan("movedTwice").andVerdict("limitSignLost"),
            Habit.CAREFUL.without("standsAndChocks"));

    /** Places in the list of those who leave the vehicle outside: they turned its rods the wrong way. */
    private static final Set<Integer> LEFT_OUTSIDE = Set.of(4, 11);

    /** Place of one who does everything right, with the steering turned. */
    private static final int STEERED = 0;

    /** Deg; the other way on the right. */
    private static final double STEERED_BY = 0.35;

    private final People people;
    private final Tasks tasks;
    private final Sittings sittings;
    private final VehicleReferences vehicles;
    private final VehicleMoves moves;
    private final Entries entries;
    private final SittingMarks sittingMarks;
    private final MarkSheets sheets;
    private final Moderations moderations;

    PastBlock(
            People people,
            Tasks tasks,
            Sittings sittings,
            VehicleReferences vehicles,
            VehicleMoves moves,
            Entries entries,
            SittingMarks sittingMarks,
            MarkSheets sheets,
            Moderations moderations) {
        this.people = people;
        this.tasks = tasks;
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.moves = moves;
        this.entries = entries;
        this.sittingMarks = sittingMarks;
        this.sheets = sheets;
        this.moderations = moderations;
    }

    void load(SignedIn instructor, SignedIn verifier, UUID van) {
        UUID centre = instructor.centreId();
        List<UUID> apprentices =
                people.addAll(centre, Role.APPRENTICE, DemoPeople.signingIn(NAMES), DemoPeople.PASSWORD);
        UUID group = people.makeClass(centre, "Vehicles 2A", apprentices).orElseThrow();
        UUID task = tasks.set(centre, instructor.personId(), practical(), List.of(van), group);
        tasks.preset(centre, instructor.personId(), task, BAY, van, "Mounts pushed out, rods unequal");
        tasks.open(centre, instructor.personId(), task);
        TaskVersion set = tasks.task(centre, task);
        Sitting reference = sittings.sitting(instructor, vehicles.referenceAsFound(instructor, set, BAY));
        read(instructor, reference, 0, found(), SEED);
        List<Sitting> sat = new ArrayList<>();
        for (int i = 0; i < NAMES.size(); i++) {
            sat.add(sit(instructor, task, apprentices.get(i), i));
        }
        tasks.close(centre, task);
        for (int i = 0; i < sat.size(); i++) {
            mark(instructor, sat.get(i), i);
        }
        moderate(verifier, set);
        study(instructor, van, group, apprentices.subList(0, STUDIED));
    }

    /** The same few people read the same vehicle in two states, each twice: what of the spread is whose. */
    private void study(SignedIn instructor, UUID van, UUID group, List<UUID> people) {
        UUID centre = instructor.centreId();
        Practical start = TaskStart.TOE.on(
                DemoVehicles.PARCEL_VAN.sheet(),
                "Repeatability study: toe by plates",
                OrderSchool.A,
                AnswerUnit.DEGREES);
        var plates = Procedures.of("plates").withRunOutTakenOff();
        Practical study = TaskStart.withDefaults(
                start.with(Mode.PRACTICE)
                        .with(List.of(
                                Measure.of("toe", plates, TaskStart.usualFigures(plates), REPEATS),
                                start.steps().get(start.steps().size() - 1))),
                DemoVehicles.PARCEL_VAN.sheet());
        UUID task = tasks.set(centre, instructor.personId(), study, List.of(van), group);
        tasks.open(centre, instructor.personId(), task);
        for (Truth state : List.of(found(), setRight())) {
            tasks.preset(centre, instructor.personId(), task, BAY, van, null);
            for (int i = 0; i < people.size(); i++) {
                var opening = tasks.current(centre, task).orElseThrow();
                Sitting sitting = sittings.sitting(instructor, sittings.begin(opening, people.get(i), BAY));
                if (sitting.state().handedIn()) {
                    sitting = sittings.sitting(instructor, sittings.sitAgain(instructor, sitting));
                }
                new DemoApprentice(
                                entries,
                                sittingMarks,
                                this.people.session(centre, people.get(i)),
                                sitting,
                                SEED + 500 + i)
                        .doAll(Habit.CAREFUL, state, state);
            }
        }
        tasks.close(centre, task);
    }

    // ---- the task

    private static Practical practical() {
        Practical start = TaskStart.FULL_FRONT.on(
                DemoVehicles.PARCEL_VAN.sheet(),
                "Block 2: the front of the van, toe two ways",
                OrderSchool.A,
                AnswerUnit.DEGREES);
        FigureId total = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);
        var plumb = Procedures.of("inclinometer90");
        List<Measure> measures = List.of(
                start.measure("caster").orElseThrow(),
                Measure.of("camber", plumb, TaskStart.usualFigures(plumb), REPEATS),
                start.measure("toe").orElseThrow(),
                Measure.of(
                        "bars",
                        Procedures.of("longBars")
                                .with(Map.of("bar", CatalogueInstrument.TAPE_SIXTEENTHS))
                                .withRunOutTakenOff(),
                        List.of(total),
                        REPEATS));
        List<Measure> first = measures.subList(0, measures.size() - 1);
        List<Step> steps = new ArrayList<>();
        steps.add(start.steps().get(0));
        steps.addAll(first);
        steps.add(DemoTasks.inDegrees(first));
        steps.add(measures.get(measures.size() - 1));
        steps.add(new Work("work2", List.of(new Work.Item(total, "bars", AnswerUnit.DEGREES))));
        for (Step step : start.steps()) {
            if (step instanceof Judge judge) {
                steps.add(new Judge(judge.id(), judge.figures(), List.of(total)));
            } else if (step instanceof Plan) {
                steps.add(step);
            } else if (step instanceof Round round) {
                List<Measure> again = List.of(
                        measures.get(1).as("camberAgain"), measures.get(2).as("toeAgain"));
                steps.add(new Round(round.id(), again, round.most()));
            }
        }
        steps.addAll(
                start.steps().subList(start.steps().size() - 2, start.steps().size()));
        Practical whole = TaskStart.withDefaults(start.with(steps), DemoVehicles.PARCEL_VAN.sheet());
        Scheme scheme = whole.scheme();
        return whole.with(ReferenceRule.INSTRUCTOR)
                .with(new Scheme(
                        scheme.criteria(),
                        25,
                        List.of(new Grade("Pass", 50), new Grade("Merit", 70), new Grade("Distinction", 85))));
    }

    /** The vehicle as everybody finds it, deg. */
    private static Truth found() {
        return state(2.9, 3.6, 0.4, -0.55, 0.33, -0.08);
    }

    /** The vehicle as the preset's adjusting should leave it, deg. */
    private static Truth setRight() {
        return setTo(-0.04);
    }

    private static Truth setTo(double toeLeft) {
        return state(2.9, 3.6, -0.4, -0.4, toeLeft, -0.04);
    }

    /** The vehicle as it stands while somebody reads it as found, by place in the list. */
    private static Truth foundBy(int person) {
        return person == STEERED ? state(2.9, 3.6, 0.4, -0.55, 0.33 + STEERED_BY, -0.08 - STEERED_BY) : found();
    }

    /** The vehicle as somebody leaves it, by place in the list. */
    private static Truth leftBy(int person) {
        if (person == NAMES.size() - 1) {
            return setTo(AT_THE_EDGE);
        }
        return LEFT_OUTSIDE.contains(person) ? setTo(OUTSIDE) : setRight();
    }

    private static Truth state(
            double casterLeft, double casterRight, double camberLeft, double camberRight, double left, double right) {
        Map<FigureId, Double> figures = new HashMap<>();
        figures.put(FigureId.of(Measurand.CASTER, Wheel.FRONT_LEFT), Math.toRadians(casterLeft));
        figures.put(FigureId.of(Measurand.CASTER, Wheel.FRONT_RIGHT), Math.toRadians(casterRight));
        figures.put(FigureId.of(Measurand.CAMBER, Wheel.FRONT_LEFT), Math.toRadians(camberLeft));
        figures.put(FigureId.of(Measurand.CAMBER, Wheel.FRONT_RIGHT), Math.toRadians(camberRight));
        figures.put(FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT), Math.toRadians(left));
        figures.put(FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT), Math.toRadians(right));
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            figures.put(FigureId.of(Measurand.KPI, wheel), Math.toRadians(12.5));
        }
        for (Wheel wheel : List.of(Wheel.REAR_LEFT, Wheel.REAR_RIGHT)) {
            figures.put(FigureId.of(Measurand.TOE, wheel), Math.toRadians(0.12));
        }
        return new Truth(figures);
    }

    // ---- sitting it

    private Sitting sit(SignedIn instructor, UUID task, UUID person, int i) {
        var opening = tasks.current(instructor.centreId(), task).orElseThrow();
        Sitting sitting = sittings.sitting(instructor, sittings.begin(opening, person, BAY));
        new DemoApprentice(
                        entries, sittingMarks, people.session(instructor.centreId(), person), sitting, SEED + 10L * i)
                .doAll(HABITS.get(i), foundBy(i), leftBy(i));
        moves.putAllBack(instructor, sitting.sheet().vehicleId());
        return sittings.sitting(instructor, sitting.id());
    }

    private void read(SignedIn me, Sitting reference, int round, Truth truth, long seed) {
        var who = new DemoApprentice(entries, sittingMarks, me, reference, seed);
        reference.task().practical().measures(round).forEach(m -> who.read(m, round, truth, m.repeats()));
    }

    // ---- marking it

    /** The last vehicle stands at the edge and waits for its second reading; of the others two have a mark by hand, and all are released. */
    private void mark(SignedIn instructor, Sitting sitting, int i) {
        boolean waits = i == NAMES.size() - 1;
        Truth state = leftBy(i);
        Sitting left = sittings.sitting(instructor, vehicles.referenceAsLeft(instructor, sitting));
        read(instructor, left, 1, state, SEED + 10L * i + 1);
        if (inDoubt(sitting)) {
            UUID again = vehicles.referenceAsLeftAgain(instructor, sitting);
            if (waits) {
                return;
            }
            read(instructor, sittings.sitting(instructor, again), 1, state, SEED + 10L * i + 2);
        }
        if (i == 3) {
            give(
                    instructor,
                    sitting,
                    new Criterion.Id("work", Aspect.WORKING),
                    "12",
                    "Found the total himself before he handed in");
        }
        if (i == 9) {
            give(
                    instructor,
                    sitting,
                    new Criterion.Id("closing", Aspect.DONE),
                    "2",
                    "The gaiter was left twisted; seen at the bay");
        }
        sheets.sign(instructor, sitting, Ids.next().toString());
        sheets.release(instructor, sitting, Ids.next().toString());
    }

    private boolean inDoubt(Sitting sitting) {
        var log = sittings.log(sitting.centreId(), sitting.id());
        return sittingMarks
                .markSheet(sitting, log, sittingMarks.references(sitting, log).references())
                .lines()
                .stream()
                .anyMatch(MarkLine::asksForAnotherReading);
    }

    private void give(SignedIn instructor, Sitting sitting, Criterion.Id criterion, String marks, String reason) {
        sheets.override(
                instructor,
                sitting,
                criterion,
                new BigDecimal(marks),
                reason,
                Ids.next().toString());
    }

    /** A fifth of all by seed; the first mark by hand comes back, the rest is agreed to but one. */
    private void moderate(SignedIn verifier, TaskVersion task) {
        Moderation drawn = moderations
                .draw(verifier, task, Ids.next(), 1106, 20, BigDecimal.valueOf(3))
                .map(id -> moderations.one(verifier, id))
                .orElseThrow();
        List<ModerationSheet> sampled = moderations.sheets(drawn);
        boolean returned = false;
        for (ModerationSheet sheet : sampled.subList(0, sampled.size() - 1)) {
            boolean back = !returned && sheet.why().key().equals("override");
            returned |= back;
            moderations.decide(
                    verifier,
                    drawn,
                    sheet.sittingId(),
                    back ? ModerationDecision.RETURN : ModerationDecision.AGREE,
                    back
                            ? "The working’s mark is not borne out by what stands on the sheet. Say what was seen, or take it back."
                            : "");
        }
    }
}
