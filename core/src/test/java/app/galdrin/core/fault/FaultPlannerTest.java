package app.galdrin.core.fault;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.fault.FaultPlan.Difficulty;
import app.galdrin.core.fault.FaultPlan.FigureAfter;
import app.galdrin.core.fault.FaultPlan.Moves;
import app.galdrin.core.fault.FaultPlan.Reason;
import app.galdrin.core.fault.FaultPlan.Refusal;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.ProvokedSlip;
import app.galdrin.core.simulated.SlipProbe;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.steering.TrackRod;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.uncertainty.Estimate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FaultPlannerTest {

    private static final SpecificationSheet VAN = Vehicles.van();

    private static final double READ = Math.toRadians(0.05);

    /** The van as its sheet prefers it, every figure known to 0.05 degrees. */
    private static Map<FigureId, Estimate> preferred() {
        Map<FigureId, Estimate> now = new HashMap<>();
        for (String side : List.of("left", "right")) {
            now.put(figure("toe.front." + side), degrees(-0.04));
            now.put(figure("camber.front." + side), degrees(-0.4));
            now.put(figure("caster.front." + side), degrees(3.5));
        }
        now.put(figure("totalToe.front"), degrees(-0.08));
        return now;
    }

    private static Estimate degrees(double value) {
        return new Estimate(Math.toRadians(value), READ);
    }

    /** Wanted as {@code toe.front.left=0.4 camber.front.left=-0.8}. */
    private static FaultPlan plan(String wanted, RoadLimits road) {
        Map<FigureId, Double> all = new TreeMap<>();
        for (String one : wanted.split(" ")) {
            all.put(figure(one.split("=")[0]), Math.toRadians(Double.parseDouble(one.split("=")[1])));
        }
        return FaultPlanner.plan(new FaultRequest(VAN, PresentState.reading(preferred()), all, road));
    }

    private static double turns(Moves plan, String part) {
        return plan.moves().units().entrySet().stream()
                .filter(m -> m.getKey().id().equals(part))
                .mapToDouble(Map.Entry::getValue)
                .sum();
    }

    private static FigureAfter after(Moves plan, String key) {
        return plan.figures().stream()
                .filter(f -> f.figure().equals(figure(key)))
                .findFirst()
                .orElseThrow();
    }

    /**
     * A turn of a rod moves its wheel by atan(1.5 / 136) = 0.632 degrees, to eighths; a millimetre of the left slot the camber by 0.1, to halves.
     * The right slot's effect is not known, so that it stays.
     */
    @ParameterizedTest
    @CsvSource({
        "toe.front.left=-0.44, rod.front.left, -0.625, toe.front.left, -0.435",
        "toe.front.right=0.36, rod.front.right, 0.625, toe.front.right, 0.355",
        "toe.front.left=-0.44, rod.front.right, 0, toe.front.right, -0.04",
        "toe.front.left=-0.44, rod.front.left, -0.625, totalToe.front, -0.475",
        "toe.front.left=-0.10, rod.front.left, -0.125, toe.front.left, -0.119",
        "toe.front.left=-0.44, topSlot.front.left, 0, camber.front.left, -0.4",
        "camber.front.left=-0.8, topSlot.front.left, -4, camber.front.left, -0.8",
        "camber.front.left=0.12 toe.front.left=0.2, topSlot.front.left, 5, camber.front.left, 0.1",
        "camber.front.left=0.12 toe.front.left=0.2, rod.front.left, 0.375, toe.front.left, 0.197",
    })
    void aFault_isSetByWholeSteps_andEverythingElseStays(
            String wanted, String part, double units, String figure, double reads) {
        Moves plan = assertInstanceOf(Moves.class, plan(wanted, RoadLimits.USUAL));
        assertEquals(units, turns(plan, part), 1e-12, plan.toString());
        assertEquals(reads, Math.toDegrees(after(plan, figure).after().value()), 5e-4);
        assertEquals(wanted.contains(figure + "="), after(plan, figure).isWanted());
        plan.figures()
                .forEach(f -> assertEquals(
                        -plan.moves().change(f.figure()), plan.moves().back().change(f.figure()), 1e-15));
    }

    /** Uncertainty afterwards: the reading's 0.05 degrees, and an eighth of a turn over √12 times 0.632 degrees a turn. */
    @Test
    void afterwards_aFigureIsKnown_asWellAsItsReadingAndTheStepAllow() {
        Moves plan = assertInstanceOf(Moves.class, plan("toe.front.left=-0.44", RoadLimits.USUAL));
        double step = 0.125 / Math.sqrt(12) * Vehicles.TURN;
        assertEquals(
                Math.hypot(0.05, step),
                Math.toDegrees(after(plan, "toe.front.left").after().standardUncertainty()),
                2e-3);
        assertEquals(0.05, Math.toDegrees(after(plan, "toe.front.right").after().standardUncertainty()), 1e-12);
    }

    @ParameterizedTest
    @CsvSource({
        "toe.front.left=-0.04, NothingWanted",
        "caster.front.left=2, NotMoved",
        "camber.front.right=0.4, NotMoved",
        "kpi.front.left=12, NotRead",
        "toe.front.left=13, BeyondRange",
        "camber.front.left=1.2, BeyondRange",
        "toe.front.left=1.7, Unsafe",
        "caster.front.left=2 camber.front.right=0.4, NotMoved+NotMoved",
    })
    void whatCannotBe_isRefusedWithEveryReason(String wanted, String reasons) {
        Refusal refusal = assertInstanceOf(Refusal.class, plan(wanted, RoadLimits.USUAL));
        assertEquals(
                reasons,
                String.join(
                        "+",
                        refusal.reasons().stream()
                                .map(r -> r.getClass().getSimpleName())
                                .toList()));
    }

    private static final FigureId CAMBER = figure("camber.front.left");
    private static final FigureId TOE = figure("toe.front.left");

    /** A cam of whole marks: 0.3 degrees of camber and -0.15 of toe a mark. */
    private static Adjuster cam(int most) {
        return new Adjuster(
                Part.CAM,
                Location.of(Wheel.FRONT_LEFT),
                AdjusterUnit.CAM_MARK,
                most,
                1,
                Map.of(CAMBER, effect(0.3), TOE, effect(-0.15)),
                true);
    }

    private static Adjuster.Effect effect(double degrees) {
        return Adjuster.Effect.of(Math.toRadians(degrees), Math.toRadians(Math.abs(degrees)) / 10);
    }

    private static FaultPlan byCam(double camber, Map<FigureId, Estimate> now, Adjuster... parts) {
        return byCam(camber, PresentState.reading(now), parts);
    }

    private static FaultPlan byCam(double camber, PresentState now, Adjuster... parts) {
        var sheet = new SpecificationSheet(VAN.geometry(), VAN.lines(), List.of(parts));
        return FaultPlanner.plan(
                new FaultRequest(sheet, now, Map.of(CAMBER, Math.toRadians(camber)), RoadLimits.USUAL));
    }

    /**
     * From −0.4 to 0.1 the cam needs 1.67 marks: two of them leave 0.2. They turn the wheel out by 0.3, which 0.475 turns of the rod take back:
     * half a turn, though rounding what 1.67 marks need would give three eighths. The total follows from the wheels.
     */
    @Test
    void partsThatDisturbOneAnother_areSetTogether() {
        Map<FigureId, Estimate> now = preferred();
        now.remove(figure("totalToe.front"));
        Moves plan = assertInstanceOf(
                Moves.class, byCam(0.1, now, cam(8), TrackRod.adjuster(Wheel.FRONT_LEFT, VAN.geometry())));
        assertEquals(List.of(2.0, 0.5), List.of(turns(plan, "cam.front.left"), turns(plan, "rod.front.left")));
        double toe = -0.3 + 0.5 * Vehicles.TURN;
        assertEquals(
                -0.08 + toe,
                Math.toDegrees(after(plan, "totalToe.front").after().value()),
                1e-9);
        double step = Math.hypot(0.15, 0.125 * Vehicles.TURN) / Math.sqrt(12);
        assertEquals(
                Math.hypot(0.05, Math.hypot(2 * 0.015, step)),
                Math.toDegrees(after(plan, "toe.front.left").after().standardUncertainty()),
                1e-4);
    }

    /** Without a rod the toe would go with the cam, so that the cam stays; with two marks the camber is not reached. */
    @Test
    void whatWholeStepsDoNotReach_isSaidWithWhatTheyReach() {
        Refusal alone = assertInstanceOf(Refusal.class, byCam(0.8, preferred(), cam(8)));
        assertEquals(
                List.of(new Reason.NotReached(CAMBER, Math.toRadians(-0.4))), alone.reasons(), "not: nothing wanted");
        Refusal range = assertInstanceOf(
                Refusal.class, byCam(1, preferred(), cam(2), TrackRod.adjuster(Wheel.FRONT_LEFT, VAN.geometry())));
        assertTrue(range.reasons().get(0) instanceof Reason.BeyondRange no && Math.abs(no.needed() - 4.67) < 0.1);
    }

    /** The cam needs the rod half a turn longer: with what it was lengthened before it must not be more than its thread allows. */
    @ParameterizedTest
    @CsvSource({"0, 0.5, true", "1.5, 2, true", "1.5, 1.875, false", "-3, 0, true", "0, 0.375, false"})
    void aRodIsNeverLengthened_beyondItsThread(double before, double spare, boolean isSet) {
        Adjuster rod = TrackRod.adjuster(Wheel.FRONT_LEFT, VAN.geometry()).withSpare(spare);
        FaultPlan plan = byCam(0.1, new PresentState(preferred(), Map.of(rod.id(), before)), cam(8), rod);
        assertEquals(isSet, plan instanceof Moves);
        if (plan instanceof Refusal refusal) {
            assertEquals(List.of(new Reason.LittleThread(rod, before + 0.5, spare)), refusal.reasons());
        }
    }

    /** Shortened it holds by more thread, however far out it was before. */
    @Test
    void aRodThatIsTooLong_canStillBeShortened() {
        Adjuster rod = TrackRod.adjuster(Wheel.FRONT_LEFT, VAN.geometry()).withSpare(1);
        Moves plan = assertInstanceOf(
                Moves.class, byCam(-0.9, new PresentState(preferred(), Map.of(rod.id(), 9.0)), cam(8), rod));
        assertTrue(turns(plan, "rod.front.left") < 0);
    }

    /** One step of a rod moves the toe by 0.08 degrees: two strings can miss more, so that nobody would see it. */
    @Test
    void aChangeThatTheTaskCanMiss_isNotSeen() {
        var assignment = Assignment.of(TaskStart.TOE.on(VAN, "Toe", OrderSchool.A, AnswerUnit.DEGREES), VAN);
        Moves plan = assertInstanceOf(Moves.class, plan("toe.front.left=-0.10", RoadLimits.USUAL));
        List<FaultSight> sights = FaultSight.of(assignment, plan.moves());
        assertTrue(!sights.isEmpty() && sights.stream().noneMatch(FaultSight::isSeen), sights.toString());
        assertTrue(sights.stream().allMatch(s -> s.change() != 0), "nothing of what stays");
    }

    /** A limit that the instructor sets holds, and what is within it is set. */
    @Test
    void howFarAVehicleMayBeSet_isTheInstructors() {
        assertInstanceOf(Refusal.class, plan("toe.front.left=-0.44", new RoadLimits(Math.toRadians(0.4), 1)));
        assertInstanceOf(Moves.class, plan("toe.front.left=-0.44", new RoadLimits(Math.toRadians(0.5), 1)));
    }

    /** Drawn faults lie as clearly outside as was asked, are seen by the task, and are the same for the same number. */
    @ParameterizedTest
    @EnumSource(Difficulty.class)
    void aDrawnFault_isAsHardAsItWasAskedFor(Difficulty difficulty) {
        var assignment = Assignment.of(TaskStart.TOE.on(VAN, "Toe", OrderSchool.A, AnswerUnit.DEGREES), VAN);
        int drawn = 0;
        for (long seed = 1; seed <= 30; seed++) {
            var request =
                    FaultDraw.draw(assignment, PresentState.reading(preferred()), RoadLimits.USUAL, difficulty, seed);
            assertEquals(
                    request.map(FaultRequest::wanted),
                    FaultDraw.draw(assignment, PresentState.reading(preferred()), RoadLimits.USUAL, difficulty, seed)
                            .map(FaultRequest::wanted));
            if (request.isEmpty()) {
                continue;
            }
            drawn++;
            Moves plan = assertInstanceOf(Moves.class, FaultPlanner.plan(request.get()));
            List<FaultSight> sights = FaultSight.of(assignment, plan.moves());
            assertTrue(sights.stream().anyMatch(FaultSight::isSeen), "seed " + seed);
            assertTrue(
                    sights.stream().anyMatch(s -> isBeyond(plan, s, difficulty.least(), difficulty.most())),
                    "seed " + seed + " " + sights);
        }
        assertTrue(drawn > 20, drawn + " of 30");
    }

    /** A fault that shows a slip is one on which somebody who makes it is told so, also on sheets that it was not tried on. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "work/toe/methodSign",
                "work/toe/mmForDegrees",
                "toe/toe/leftRightSwapped",
                "plan//wrongWay",
                "plan//movedTwice"
            })
    void aFaultThatShowsASlip_getsItNamed(String key) {
        var assignment = Assignment.of(TaskStart.TOE.on(VAN, "Toe", OrderSchool.A, AnswerUnit.DEGREES), VAN);
        ProvokedSlip slip = SlipProbe.slips(assignment).stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElseThrow();
        var request = FaultDraw.showing(
                        assignment, PresentState.reading(preferred()), RoadLimits.USUAL, Difficulty.CLEAR, 1, slip)
                .orElseThrow();
        Moves plan = assertInstanceOf(Moves.class, FaultPlanner.plan(request));
        Map<FigureId, Double> figures = new HashMap<>();
        plan.figures().stream()
                .filter(f -> !f.figure().ofBothWheels())
                .forEach(f -> figures.put(f.figure(), f.after().value()));
        assertTrue(SlipProbe.named(assignment, new Truth(figures), slip, 10, 500) >= 8);
    }

    /** Where both sides are alike nobody is told that they were exchanged; a move of next to nothing is seldom twice the right one. */
    @ParameterizedTest
    @CsvSource({"toe/toe/leftRightSwapped, 0", "plan//wrongWay, 3", "plan//movedTwice, 3"})
    void aVehicleThatShowsNothing_seldomGetsASlipNamed(String key, int most) {
        var assignment = Assignment.of(TaskStart.TOE.on(VAN, "Toe", OrderSchool.A, AnswerUnit.DEGREES), VAN);
        ProvokedSlip slip = SlipProbe.slips(assignment).stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElseThrow();
        Map<FigureId, Double> figures = new HashMap<>();
        preferred().forEach((figure, value) -> figures.put(figure, value.value()));
        assertTrue(SlipProbe.named(assignment, new Truth(figures), slip, 6, 77) <= most);
    }

    private static boolean isBeyond(Moves plan, FaultSight sight, double least, double most) {
        Limits limits = VAN.limits(sight.figure()).orElseThrow();
        double value = after(plan, sight.figure().key()).after().value();
        double beyond =
                Math.max(value - limits.max().orElseThrow(), limits.min().orElseThrow() - value);
        return beyond >= least * sight.expanded() && beyond <= most * sight.expanded();
    }
}
