package app.galdrin.core.steering;

import static app.galdrin.core.Seeds.between;
import static app.galdrin.core.measure.Instrument.PERFECT;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import app.galdrin.core.Seeds;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.spec.Linkage;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
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
        double turns = rod.turns(current, target);
        assertEquals(target, rod.toeAfter(current, turns), TOLERANCE);
        assertEquals(
                rod.ratePerTurn(),
                TrackRod.learned(current, rod.toeAfter(current, 0.75), 0.75).ratePerTurn(),
                TOLERANCE);
        assertEquals(linkage == Linkage.BEHIND, rod.toeAfter(current, 1) > current);
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
}
