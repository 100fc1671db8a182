package app.galdrin.web.sketch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A wheel drawn leaning or turning the wrong way would teach the wrong sign: what is read of a vehicle moves its drawing the way the
 * vehicle stands, on both sides and in both layouts.
 */
class FollowTest {

    private static final SpecificationSheet SHEET = new SpecificationSheet(
            new VehicleGeometry(2760, 1484, 1466, new WheelSize(416, 301), Linkage.BEHIND, 1.5, false, 136.0, 17.8),
            List.of(),
            List.of());
    private static final MeasuringContext LEVEL = new MeasuringContext(SHEET, BayFloor.LEVEL);

    private static Sketch sketch(Procedure procedure) {
        return Sketches.of(new UUID(1, 2), SHEET, procedure, List.copyOf(procedure.sees()));
    }

    private static Stream<Drawing> layouts(Procedure procedure) {
        Sketch sketch = sketch(procedure);
        return Stream.of(sketch.lying(), sketch.upright());
    }

    /** What the script makes of readings: how far strokes are turned, clockwise positive, or shifted. */
    private static double moved(Follow follow, Map<String, Double> readings) {
        double sum = 0;
        for (Follow.Term term : follow.terms()) {
            double value = readings.getOrDefault(term.place(), 0.0);
            double leans = term.plumb() == 0 ? value : Math.signum(value) * (term.plumb() - Math.abs(value));
            sum += term.each() * leans;
        }
        return sum;
    }

    private static Follow of(Drawing drawing, String id) {
        return drawing.follows().stream()
                .filter(f ->
                        f.id().equals(id) && (f.option() == null || f.option().endsWith("-outboard")))
                .findFirst()
                .orElseThrow(() -> new AssertionError(id + " does not move"));
    }

    private static Map<String, Double> readings(Procedure procedure, Measurand measurand, Wheel wheel, double degrees) {
        return procedure.readings(
                new Truth(Map.of(FigureId.of(measurand, wheel), Math.toRadians(degrees))), procedure.asUsual(LEVEL));
    }

    static Stream<Arguments> toes() {
        return Stream.of("strings", "battens", "laserLine", "rearString", "wheelHeads", "flags", "flagsMillimetres")
                .flatMap(key -> Stream.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT).map(w -> Arguments.of(key, w)));
    }

    /** Toe-in turns a left wheel's front to the right, which is with the clock, and a right one's against it. */
    @ParameterizedTest
    @MethodSource("toes")
    void aWheelThatPointsIn_isDrawnPointingIn(String key, Wheel wheel) {
        Procedure procedure = Procedures.of(key);
        for (double toe : new double[] {0.4, -0.6}) {
            var read = readings(procedure, Measurand.TOE, wheel, toe);
            layouts(procedure)
                    .forEach(d -> assertEquals(
                            10 * wheel.side().sign() * toe,
                            moved(of(d, wheel.key()), read) - moved(of(d, wheel.key()), straight(procedure)),
                            0.15));
        }
    }

    private static Map<String, Double> straight(Procedure procedure) {
        return procedure.readings(new Truth(Map.of()), procedure.asUsual(LEVEL));
    }

    @ParameterizedTest
    @CsvSource({"plates", "treadTape", "rigidFrames", "longBars", "outsideJig", "floorLaser"})
    void aSpan_turnsBothWheelsByHalfOfTheTotal(String key) {
        Procedure procedure = Procedures.of(key);
        for (Axle axle : Axle.values()) {
            var read = readings(procedure, Measurand.TOE, Wheel.of(axle, Side.LEFT), 0.8);
            for (Side side : Side.values()) {
                layouts(procedure)
                        .forEach(d -> assertEquals(
                                10 * side.sign() * 0.4,
                                moved(of(d, Wheel.of(axle, side).key()), read),
                                0.3,
                                key + " " + axle + " " + side));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"inclinometer", "inclinometerZeroed", "inclinometer90", "inclinometerTurned", "plumbRule"})
    void aTopThatLeansOut_isDrawnLeaningOut(String key) {
        Procedure procedure = Procedures.of(key);
        for (Wheel wheel : Wheel.values()) {
            for (double camber : new double[] {0.7, -0.9}) {
                var read = readings(procedure, Measurand.CAMBER, wheel, camber);
                // from ahead a left wheel's outboard lies to the right
                layouts(procedure)
                        .forEach(d -> assertEquals(
                                6 * wheel.side().sign() * camber, moved(of(d, wheel.key()), read), 0.05, key));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"sweep", "sweep90", "sweepFive", "fullLock"})
    void aWheelTurnedOut_isDrawnTurnedOut_asFarAsItIs(String key) {
        Procedure procedure = Procedures.of(key);
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            var read = straight(procedure);
            layouts(procedure).forEach(d -> {
                // the front lies to the left: a left wheel's outboard below, so that turning out goes against the clock
                double out = moved(of(d, wheel.key() + ".out"), read);
                double in = moved(of(d, wheel.key() + ".in"), read);
                assertEquals(-wheel.side().sign(), Math.signum(out));
                assertEquals(-Math.signum(out), Math.signum(in));
                assertEquals(read.get(wheel.key() + ".out.steer"), Math.abs(out), 1e-9);
            });
        }
    }

    @Test
    void anAxleThatLeansBack_isDrawnLeaningBack_andAKingpinInward() {
        Procedure caster = Procedures.of("protractor");
        Procedure kpi = Procedures.of("protractorKpi");
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            // from outside the rear lies to the right at a left wheel
            var back = readings(caster, Measurand.CASTER, wheel, 4);
            layouts(caster)
                    .forEach(d -> assertTrue(
                            wheel.side().sign() * moved(of(d, wheel.key() + ".knuckle"), back) > 9, wheel.key()));
            // from ahead a left wheel stands to the right, and inward is to the left
            var inward = readings(kpi, Measurand.KPI, wheel, 7);
            layouts(kpi).forEach(d -> assertEquals(-7 * wheel.side().sign(), moved(of(d, wheel.key()), inward), 1e-6));
        }
    }

    /** The left wheelbase the longer: the left wheel is drawn farther forward, the right one farther back. */
    @Test
    void aWheelThatStandsBack_isDrawnBack() {
        Procedure setback = Procedures.of("setback");
        FigureId figure = FigureId.of(Measurand.SETBACK, Axle.FRONT);
        var read = setback.readings(new Truth(Map.of(figure, 6.0)), LEVEL);
        layouts(setback).forEach(d -> {
            Follow left = of(d, "fl");
            Follow right = of(d, "fr");
            assertTrue(moved(left, read) > left.drawn() && moved(right, read) < right.drawn());
            assertTrue(left.shiftX() < 0 || left.shiftY() < 0, "forward is to the left, or up");
        });
    }

    @Test
    void atALock_bothWheelsTurnTheWayOfTheLock() {
        Procedure turnOut = Procedures.of("turnOut");
        var read = straight(turnOut);
        layouts(turnOut).forEach(d -> {
            for (Side lock : Side.values()) {
                for (Side side : Side.values()) {
                    // front up: to the left is against the clock
                    assertTrue(-lock.sign() * moved(of(d, lock.key() + "." + side.key()), read) > 30);
                }
            }
        });
    }

    /** A beam inboard of the wheel turns the sign of its gaps, and the drawing with them. */
    @Test
    void whatIsChosen_turnsTheDrawingToo() {
        Procedure laser = Procedures.of("laserLine");
        Map<String, Double> read = new HashMap<>(Map.of("wheels.fl.frontGap", 80.0, "wheels.fl.rearGap", 75.0));
        List<Follow> follows = sketch(laser).lying().follows().stream()
                .filter(f -> f.id().equals("fl"))
                .toList();
        assertEquals(2, follows.size());
        assertEquals(-moved(follows.get(1), read), moved(follows.get(0), read), 1e-9);
        assertTrue(follows.stream().allMatch(f -> f.option() != null));
    }

    /** What moves is drawn and named once; the sentence under the drawing has the times it is enlarged. */
    @Test
    void everyFollow_hasStrokesOfItsOwn() {
        for (Procedure procedure : Procedures.all()) {
            layouts(procedure).forEach(d -> {
                d.follows().forEach(f -> {
                    assertTrue(
                            d.shapes().stream().anyMatch(s -> s instanceof Shape.Path p && f.id().equals(p.follows())),
                            procedure.key() + " " + f.id());
                    assertTrue(f.terms().stream().allMatch(t -> d.fields().containsKey(t.place())), procedure.key());
                    assertTrue(f.times() >= 1 && f.words().startsWith("sketch.follows."));
                });
                assertEquals(
                        d.follows().size(),
                        d.followed().isEmpty() ? 0 : d.followed().split("\\|").length);
            });
        }
    }
}
