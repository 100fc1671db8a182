package app.galdrin.core.steering;

import static app.galdrin.core.Seeds.between;
import static app.galdrin.core.measure.Instrument.PERFECT;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;

import app.galdrin.core.Outcome;
import app.galdrin.core.Seeds;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.Linkage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** evaluate(forward(truth)) = truth for the steering and bump-steer methods. */
class SteeringRoundTripTest {

    private static final double TOLERANCE = 1e-9;

    static LongStream seeds() {
        return Seeds.some();
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void turnOut_givesBackTheShareOfAckermann(long seed) {
        var random = Seeds.generator(seed);
        double ackermann = between(random, -40, 130);
        double inner = Math.toRadians(between(random, 10, 45));
        var readings = SteerTurnOut.forward(inner, ackermann, 1347, between(random, 2200, 4000), PERFECT, random);
        var result = SteerTurnOut.evaluate(readings);
        assertEquals(ackermann, result.ackermann(), 1e-8);
        assertEquals(inner, result.idealOuter() + result.toeOutOnTurn() * 100 / ackermann, 1e-8);
        assertEquals(readings.wheelbase(), result.turnRadius() * Math.sin(readings.outer()), 1e-8);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void threadsAndRackAndSteeringWheel_giveBackHowFarTheyAreOff(long seed) {
        var random = Seeds.generator(seed);
        double off = between(random, -8, 8);
        var threads = SteerThreads.evaluate(SteerThreads.forward(off, 24, 1.5, Math.abs(off) + 1, PERFECT, random));
        assertEquals(off, threads.difference(), TOLERANCE);
        assertEquals(Optional.of(off > 0 ? Side.LEFT : Side.RIGHT), threads.longerNow());
        assertEquals(Math.abs(off) / 3, threads.turnsEach().getAsDouble(), TOLERANCE);
        assertFalse(threads.suspectPart().orElseThrow());
        var rack = SteerRack.evaluate(SteerRack.forward(off, 70, 46, new SteerRack.Locks(1.4, 1.6), PERFECT, random));
        assertEquals(off, rack.offset(), TOLERANCE);
        assertEquals(-0.1, rack.lockImbalance().getAsDouble(), TOLERANCE);
        double crooked = Math.toRadians(off);
        var wheel =
                SteerWheelOffset.evaluate(SteerWheelOffset.forward(crooked, 0.01, between(random, -0.01, 0.01), 16));
        assertEquals(crooked, wheel.steeringWheel(), TOLERANCE);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void turns_bringTheWheelToItsTarget_andTheRateIsLearnedBack(long seed) {
        var random = Seeds.generator(seed);
        Linkage linkage = random.nextBoolean() ? Linkage.AHEAD : Linkage.BEHIND;
        var rod = TrackRod.of(between(random, 1, 3), between(random, 100, 160), linkage);
        double current = Math.toRadians(between(random, -3, 3));
        double target = Math.toRadians(between(random, -3, 3));
        double turns = rod.turns(target - current);
        assertEquals(target, rod.toeAfter(current, turns), TOLERANCE);
        assertEquals(
                rod.ratePerTurn(),
                TrackRod.learned(rod.toeAfter(current, 0.75) - current, 0.75).ratePerTurn(),
                TOLERANCE);
        assertEquals(linkage == Linkage.BEHIND, rod.toeAfter(current, 1) > current);
    }

    /** Subtracted in radians they would be told seven digits short. */
    @Test
    void turns_keepTheirDigits_whereTheTwoToesAreNearlyEqual() {
        var input = new JsonObject();
        input.add("current", 0.1);
        input.add("target", 0.1 + 1e-9);
        input.add("before", 0.3);
        input.add("after", 0.3 + 1e-9);
        input.add("turns", 0.5);
        var result = assertInstanceOf(Outcome.Value.class, new AdjustTurns().evaluate(input));
        var figures = ((Answer) result.value()).figures().values();
        double rate = ((0.3 + 1e-9) - 0.3) / 0.5;
        assertEquals(rate, (Double) figures.get("ratePerTurn"), 1e-12 * rate);
        double turns = ((0.1 + 1e-9) - 0.1) / rate;
        assertEquals(turns, (Double) figures.get("turns"), 1e-12);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void bumpCurve_andTheFlattestShim_areGivenBack(long seed) {
        var random = Seeds.generator(seed);
        double slope = Math.toRadians(between(random, -0.02, 0.02));
        double bend = Math.toRadians(between(random, -1e-4, 1e-4));
        double[] travels = {-60, -30, 0, 0, 30, 60};
        var readings = BumpLaser.forward(
                z -> slope * z + bend * z * z,
                between(random, -40, 40),
                between(random, 900, 3000),
                travels,
                PERFECT,
                random);
        var result = BumpLaser.evaluate(readings, 0).orElseThrow();
        for (BumpLaser.Point point : result.curve()) {
            double z = point.travel();
            assertEquals(slope * z + bend * z * z, point.toeChange(), TOLERANCE);
        }
        // an even bend does not tilt the line over travels that lie evenly about ride height
        assertEquals(slope, result.slope().value(), TOLERANCE);
        double flat = between(random, -4, 4);
        var shims = BumpShim.forward(flat, between(random, 0.0004, 0.003), 0, 1, 2.5, 4);
        var shim = BumpShim.evaluate(shims).orElseThrow();
        assertEquals(flat, shim.shim(), TOLERANCE);
        assertEquals(flat < 0, shim.extrapolated());
    }

    /** A spot moves its own point; one at ride height moves all the others against it. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void theDoubtOfABumpSlope_isWhatMovingEachSpotDoes(long seed) {
        var random = Seeds.generator(seed);
        var readings = BumpLaser.forward(
                z -> 0.0004 * z + between(random, -0.002, 0.002),
                between(random, -40, 40),
                between(random, 900, 3000),
                new double[] {-50, 0, between(random, 5, 40), 0, 60},
                PERFECT,
                random);
        double u = between(random, 0.2, 1.5);
        var parts =
                BumpLaser.evaluate(readings, u).orElseThrow().slope().budget().parts();
        assertEquals(readings.readings().size(), parts.size());
        double step = 1e-3;
        for (int i = 0; i < readings.readings().size(); i++) {
            double moved = slope(readings, i, step) - slope(readings, i, -step);
            double part = parts.get("readings." + i + ".spot");
            assertEquals(u * moved / (2 * step), part, 1e-6 * Math.abs(part) + 1e-12);
        }
    }

    private static double slope(BumpLaser.Readings r, int moved, double amount) {
        List<BumpLaser.Reading> readings = new ArrayList<>(r.readings());
        var reading = readings.get(moved);
        readings.set(moved, new BumpLaser.Reading(reading.travel(), reading.spot() + amount));
        return BumpLaser.evaluate(new BumpLaser.Readings(r.mirrorDistance(), readings, r.wheelRadius()), 0)
                .orElseThrow()
                .slope()
                .value();
    }

    /** The line through trials that do not lie on one, worked by hand; the ends of what was tried are not beyond it. */
    @ParameterizedTest
    @CsvSource({
        "'0 1, 1 3, 2 2', -3, 0.5, true",
        "'0 0, 1 1', 0, 1, false",
        "'1 -2, 3 0', 3, 1, false",
        "'1 1, 2 2', 0, 1, true",
        "'1 -3, 2 -2', 4, 1, true",
        "'0 3, 1 1, 2 2, 3 -2', 2.214285714, -1.4, false"
    })
    void trialsOfShims_areMetByTheBestLine(String trials, double shim, double rise, boolean extrapolated) {
        List<BumpShim.Trial> tried = Arrays.stream(trials.split(", ", -1))
                .map(t -> t.split(" ", -1))
                .map(t -> new BumpShim.Trial(Double.parseDouble(t[0]), Double.parseDouble(t[1])))
                .toList();
        var result = BumpShim.evaluate(tried).orElseThrow();
        assertEquals(rise, result.rise(), 1e-9);
        assertEquals(shim, result.shim(), 1e-6);
        assertEquals(extrapolated, result.extrapolated());
    }
}
