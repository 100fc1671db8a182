package app.galdrin.core.procedure;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.Vehicles;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.quantity.Quantity;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A figure turned back into what must be read. */
class TargetReadingTest {

    private static final MeasuringContext LEVEL = new MeasuringContext(Vehicles.van(), BayFloor.LEVEL);
    private static final Set<Measurand> MOVED = Set.of(
            Measurand.CASTER,
            Measurand.CAMBER,
            Measurand.KPI,
            Measurand.TOE,
            Measurand.SETBACK,
            Measurand.KINGPIN_TWIST,
            Measurand.RUN_OUT,
            Measurand.TURN_OUT);
    private static final Repeat ONCE = new Repeat("step", 0, 1);

    static Stream<Arguments> overSeeds() {
        return Procedures.all().stream()
                // a screen is no setting, and nobody sets a rim
                .filter(p -> !Set.of("slipPlate", "runOut").contains(p.key()))
                .flatMap(p -> Seeds.some().limit(10).mapToObj(seed -> Arguments.of(p, seed)));
    }

    private static Map<FigureId, Double> figures(
            Procedure procedure, Map<String, Double> readings, MeasuringContext standing) {
        Map<FigureId, Double> figures = new HashMap<>();
        procedure
                .work(readings, standing, ONCE, HandFormula.SOLVED)
                .figures()
                .forEach((figure, estimate) -> figures.put(figure, estimate.value()));
        return figures;
    }

    /** The instruments lie askew as another hand laid them; once the vehicle is brought there they show what was foretold. */
    @ParameterizedTest
    @MethodSource("overSeeds")
    void broughtThere_theInstrumentsShowIt(Procedure procedure, long seed) {
        RandomGenerator random = Seeds.generator(seed);
        MeasuringContext standing = new MeasuringContext(Vehicles.van(), new BayFloor(1, 0.002, -0.004, 0))
                .choosing(ProceduresTest.chosen(procedure, random));
        Map<FigureId, Double> state = new HashMap<>();
        Map<FigureId, Double> wanted = new HashMap<>();
        boolean totalAlone = procedure.sees().stream().noneMatch(f -> f.measurand() == Measurand.TOE);
        for (FigureId figure : procedure.sees()) {
            boolean length = figure.measurand().quantity() == Quantity.LENGTH;
            if (MOVED.contains(figure.measurand()) || totalAlone && figure.measurand() == Measurand.TOTAL_TOE) {
                double scale = length ? 1000 : 1;
                state.put(figure, scale * Seeds.between(random, -0.006, 0.006));
                wanted.put(figure, scale * Seeds.between(random, -0.006, 0.006));
            }
        }
        Truth now = Truth.describedBy(state);
        Truth then = Truth.describedBy(wanted);
        Map<String, Double> read = lay(procedure, now, standing, seed);
        Map<String, Double> later = lay(procedure, then, standing, seed);
        List<TargetReading> targets =
                TargetReading.of(procedure, standing, read, figures(procedure, read, standing), wanted);
        assertFalse(targets.isEmpty());
        for (TargetReading target : targets) {
            double there = later.get(target.place().id());
            double shows = target.against().map(o -> there - later.get(o.id())).orElse(there);
            // a sweep is turned by about so much and never by the same again
            assertEquals(shows, target.value(), procedure.family() == Family.CASTER ? 0.03 : 0.01, target.toString());
        }
    }

    private static Map<String, Double> lay(Procedure procedure, Truth truth, MeasuringContext standing, long seed) {
        return procedure.lay(truth, standing, 0, Seeds.generator(seed)).read();
    }

    /** Plates of 500 mm: a degree of total toe is 8.727 mm between the tapes, the rear the longer where it is toe-in. */
    @ParameterizedTest
    @CsvSource({"1451.0,1450.0,0.10", "1448.0,1450.0,-0.08", "1450.0,1450.0,0"})
    void twoTapes_tellByHowMuchTheRearIsLonger(double front, double rear, double wanted) {
        Procedure plates = Procedures.of("plates");
        Map<String, Double> readings = Map.of("frontDistance", front, "rearDistance", rear);
        List<TargetReading> targets = TargetReading.of(
                plates,
                LEVEL,
                readings,
                figures(plates, readings, LEVEL),
                Map.of(figure("totalToe.front"), Math.toRadians(wanted)));
        assertEquals(1, targets.size());
        TargetReading only = targets.get(0);
        assertEquals("frontDistance", only.place().id());
        assertEquals("rearDistance", only.against().orElseThrow().id());
        assertEquals(-1000 * Math.sin(Math.toRadians(wanted) / 2), only.value(), 1e-4);
        var answer = (SizeAndSense) only.answer();
        assertEquals(List.of(Sense.FRONT_MORE, Sense.REAR_MORE), answer.senses());
        assertEquals(
                wanted > 0 ? Sense.REAR_MORE : Sense.FRONT_MORE, Sense.of(only.value(), answer.senses(), Side.LEFT));
    }

    /** A gauge shows the figure itself, the floor beside the wheel does not move, and the other wheel is not asked. */
    @Test
    void aGaugeOnOneWheel_isToldAsItReads() {
        Procedure gauge = Procedures.of("inclinometer");
        Map<String, Double> readings = Map.of("fr.gauge", -1.2, "fr.floor", 0.3);
        List<TargetReading> targets = TargetReading.of(
                gauge,
                LEVEL,
                readings,
                figures(gauge, readings, LEVEL),
                Map.of(figure("camber.front.right"), Math.toRadians(-0.4)));
        assertEquals(
                List.of("fr.gauge"), targets.stream().map(t -> t.place().id()).toList());
        assertEquals(-0.1, targets.get(0).value(), 1e-3, "0.3 of it is the floor's");
        assertEquals(gauge.place("fr.gauge").answer(), targets.get(0).answer());
    }

    /** What is toe-in on one side of the wheel is toe-out on the other. */
    @ParameterizedTest
    @CsvSource({"outboard,1", "inboard,-1"})
    void aBeam_tellsTheGapByTheSideItRunsOn(String side, int sign) {
        Procedure laser = Procedures.of("laserLine");
        MeasuringContext standing = LEVEL.choosing(Map.of("lineSide", side));
        Map<String, Double> readings = Map.of("wheels.fl.frontGap", 75.0, "wheels.fl.rearGap", 75.0);
        List<TargetReading> targets = TargetReading.of(
                laser,
                standing,
                readings,
                figures(laser, readings, standing),
                Map.of(figure("toe.front.left"), Math.toRadians(0.5)));
        assertEquals(1, targets.size());
        assertEquals(sign * 416 * Math.sin(Math.toRadians(0.5)), targets.get(0).value(), 1e-6);
        assertEquals(Map.of(), figures(laser, readings, LEVEL), "nothing is known before a side is chosen");
    }

    @Test
    void aPlumbLine_tellsTopAgainstBottom() {
        Procedure plumb = Procedures.of("plumbRule");
        Map<String, Double> readings = Map.of("fl.topGap", 60.0, "fl.bottomGap", 60.0);
        List<TargetReading> targets = TargetReading.of(
                plumb,
                LEVEL,
                readings,
                figures(plumb, readings, LEVEL),
                Map.of(figure("camber.front.left"), Math.toRadians(-0.5)));
        assertEquals(1, targets.size());
        assertEquals("fl.topGap", targets.get(0).place().id());
        assertEquals(
                416 * Math.sin(Math.toRadians(0.5)),
                targets.get(0).value(),
                1e-6,
                "top in: the line is farther away there");
        assertEquals(
                List.of(Sense.TOP_MORE, Sense.BOTTOM_MORE),
                ((SizeAndSense) targets.get(0).answer()).senses());
    }

    @Test
    void whatTellsNothing_isLeftOut() {
        Procedure string = Procedures.of("rearString");
        Map<String, Double> half = Map.of("wheels.fl.frontGap", 40.0);
        assertEquals(
                List.of(),
                TargetReading.of(string, LEVEL, half, Map.of(), Map.of(figure("toe.front.left"), 0.001)),
                "one of two places alone");
        assertEquals(List.of(), TargetReading.of(string, LEVEL, half, Map.of(), Map.of()));
        Map<String, Double> gauges = Map.of("fl.gauge", 0.1, "fr.gauge", 0.1);
        assertEquals(
                List.of(),
                TargetReading.of(
                        Procedures.of("inclinometerZeroed"),
                        LEVEL,
                        gauges,
                        Map.of(),
                        Map.of(figure("camberDifference.front"), 0.0)),
                "a difference can be reached in many ways");
    }

    /** What lacks of a sum is moved by both wheels alike; a state of a sum alone is split in halves. */
    @Test
    void aState_isBroughtToASum() {
        FigureId total = figure("totalToe.front");
        Truth halves = Truth.describedBy(Map.of(total, 0.01));
        assertEquals(0.005, halves.of(Measurand.TOE, Wheel.FRONT_LEFT), 1e-15);
        Truth split = new Truth(Map.of(figure("toe.front.left"), 0.004, figure("toe.front.right"), -0.001));
        assertEquals(
                0.003,
                Truth.describedBy(Map.of(figure("toe.front.left"), 0.003, total, 0.003))
                        .with(total, 0.003)
                        .of(figure("toe.front.left")),
                1e-15);
        Truth moved = split.with(total, 0.001);
        assertEquals(0.003, moved.of(figure("toe.front.left")), 1e-15);
        assertEquals(-0.002, moved.of(figure("toe.front.right")), 1e-15);
        assertTrue(split.of(figure("toe.front.left")) == 0.004, "the state it came from stands");
    }
}
