package app.galdrin.core.task;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.CanDecide.Help;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CanDecideTest {

    private static final FigureId CAMBER = figure("camber.front.left");
    private static final FigureId CASTER = figure("caster.front.left");
    private static final FigureId TOTAL = figure("totalToe.front");
    private static final MeasuringContext BAY =
            new MeasuringContext(Vehicles.van(), new BayFloor(2, 0, Math.toRadians(0.2), Math.toRadians(0.03)));

    private static Measure by(String procedure, FigureId figure, int repeats) {
        return Measure.of("m", Procedures.of(procedure), List.of(figure), repeats);
    }

    private static CanDecide decide(Measure measure, FigureId figure) {
        return CanDecide.of(measure, figure, BAY).orElseThrow();
    }

    /** Counted: vehicles spread over the tolerance, each read once with that doubt and judged. */
    @ParameterizedTest
    @CsvSource({"inclinometerZeroed,1", "inclinometerZeroed,4", "inclinometer,2", "plumbRule,1"})
    void theShare_isThatOfManyVehicles(String procedure, int repeats) {
        var can = decide(by(procedure, CAMBER, repeats), CAMBER);
        Limits limits = can.limits();
        double u = can.expanded() / Judgement.K;
        RandomGenerator random = Seeds.generator(9);
        int doubtful = 0;
        int vehicles = 40_000;
        for (int i = 0; i < vehicles; i++) {
            double there = Seeds.between(
                    random, limits.min().getAsDouble(), limits.max().getAsDouble());
            var found = new Estimate(there + u * random.nextGaussian(), u);
            if (Judgement.of(found, limits, Judgement.K, DecisionRule.SIMPLE)
                    .zone()
                    .inDoubt()) {
                doubtful++;
            }
        }
        assertEquals((double) doubtful / vehicles, can.doubtful().getAsDouble(), 0.01);
    }

    @Test
    void moreRepeats_leaveFewerInDoubt_downToHowItIsSetUp() {
        double once = decide(by("plates", TOTAL, 1), TOTAL).expanded();
        double often = decide(by("plates", TOTAL, 10), TOTAL).expanded();
        double setUp = Judgement.K * 0.5 / 500;
        assertTrue(once > often && often > setUp, once + " " + often + " " + setUp);
    }

    @Test
    void withOneLimitAlone_noShareCanBeSaid() {
        var open = new CanDecide(
                CAMBER,
                new Limits(OptionalDouble.of(-0.02), OptionalDouble.empty(), OptionalDouble.empty()),
                1,
                OptionalDouble.empty());
        assertTrue(open.canSayInside(DecisionRule.GUARDED), "far enough from its one limit anything is inside");
        assertEquals(List.of(), open.help(by("inclinometer", CAMBER, 1), BAY));
        assertTrue(CanDecide.of(by("inclinometer", figure("camber.rear.left"), 1), figure("camber.rear.left"), BAY)
                .isEmpty());
    }

    /** Degrees; the tolerance is 2 wide. */
    @ParameterizedTest
    @CsvSource({"0.99,true", "1,true", "1.01,false"})
    void aDoubtAsWideAsTheTolerance_neverSaysInside_whereItMustLieWithin(double expanded, boolean can) {
        var wide = new CanDecide(CAMBER, Limits.of(-1, 0, 1), expanded, OptionalDouble.of(1));
        assertEquals(can, wide.canSayInside(DecisionRule.GUARDED));
        assertTrue(wide.canSayInside(DecisionRule.SIMPLE));
    }

    @Test
    void aTaskThatCanNeverSayInside_isRefused() {
        Practical toe = TaskStart.TOE.on(Vehicles.van(), "T", OrderSchool.A, AnswerUnit.DEGREES);
        Measure plates = by("treadTape", TOTAL, 1);
        List<Step> steps = List.of(plates, new Judge("judge", List.of(TOTAL)), new HandIn("handIn"));
        Practical judged = TaskStart.withDefaults(toe.with(steps), Vehicles.van());
        assertEquals(List.of(), judged.with(DecisionRule.SIMPLE).faults(Vehicles.van()));
        assertEquals(
                List.of("steps.1.figures neverInside totalToe.front"),
                judged.with(DecisionRule.GUARDED).faults(Vehicles.van()).stream()
                        .map(f -> f.at() + " " + f.reason().key() + " " + f.value())
                        .toList());
    }

    @Test
    void whatWouldHelp_isNamedByHowMuchItHelps() {
        Measure phone = Measure.of(
                        "m",
                        Procedures.of("inclinometer").with(Map.of("gauge", CatalogueInstrument.PHONE_LEVEL)),
                        List.of(CAMBER),
                        1)
                .teaching("solved");
        var can = decide(phone, CAMBER);
        List<Help> help = can.help(phone, BAY);
        assertFalse(help.isEmpty());
        for (int i = 1; i < help.size(); i++) {
            assertTrue(help.get(i - 1).doubtful() <= help.get(i).doubtful());
        }
        assertTrue(help.stream().allMatch(h -> h.doubtful() < can.doubtful().getAsDouble()));
        Set<Object> kinds = help.stream().map(Object::getClass).collect(Collectors.toSet());
        assertTrue(
                kinds.containsAll(Set.of(Help.Instrument.class, CanDecide.Help.Alternative.class)), kinds.toString());
        var instrument = (Help.Instrument) help.stream()
                .filter(Help.Instrument.class::isInstance)
                .findFirst()
                .orElseThrow();
        assertEquals(CatalogueInstrument.DIGITAL_INCLINOMETER, instrument.with());
        assertEquals("gauge", instrument.tool());
        assertEquals(
                List.of(),
                decide(by("sweep", CASTER, 10), CASTER).help(by("sweep", CASTER, 10), BAY).stream()
                        .filter(Help.Repeats.class::isInstance)
                        .toList());
    }
}
