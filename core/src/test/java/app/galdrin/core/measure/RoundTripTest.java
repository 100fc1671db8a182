package app.galdrin.core.measure;

import static app.galdrin.core.Seeds.between;
import static app.galdrin.core.measure.Instrument.PERFECT;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import app.galdrin.core.Seeds;
import app.galdrin.core.measure.ToeAcross.Reading;
import app.galdrin.core.measure.ToeBox.ReadingUncertainty;
import app.galdrin.core.measure.ToeLine.LineSide;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import java.util.stream.LongStream;
import org.hipparchus.util.FastMath;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** evaluate(forward(truth)) = truth, over random vehicles, set-ups and toes; and what must hold between the figures. */
class RoundTripTest {

    private static final double TOLERANCE = 1e-9;

    private static double toe(RandomGenerator random) {
        return Math.toRadians(between(random, -5, 5));
    }

    static LongStream seeds() {
        return Seeds.some();
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void across_givesBackTheTotal(long seed) {
        var random = Seeds.generator(seed);
        double total = toe(random) * 2;
        double baseline = between(random, 300, 900);
        for (Reading kind : Reading.values()) {
            double atHubs = kind == Reading.SPAN ? between(random, 1200, 1700) : between(random, 100, 200);
            var readings = ToeAcross.forward(total, atHubs, baseline, kind, PERFECT, random);
            var result = ToeAcross.evaluate(readings, 0.5).orElseThrow();
            assertEquals(total, result.totalToe().value(), TOLERANCE);
            // both readings pull with the same strength
            double slope = 1 / (baseline * FastMath.cos(total / 2));
            assertEquals(0.5 * Math.sqrt(2) * slope, result.totalToe().standardUncertainty(), 1e-12);
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void line_givesBackTheToe_onEitherSide(long seed) {
        var random = Seeds.generator(seed);
        double toe = toe(random);
        double skew = Math.toRadians(between(random, -2, 2));
        for (LineSide side : LineSide.values()) {
            var readings = ToeLine.forward(toe, 120, between(random, 350, 600), side, skew, PERFECT, random);
            assertEquals(
                    toe, ToeLine.evaluate(readings, 0, 0).orElseThrow().toe().value(), TOLERANCE);
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void gauges_giveBackBothToes(long seed) {
        var random = Seeds.generator(seed);
        double left = toe(random);
        double right = toe(random);
        for (ToeGauges.Scale scale : ToeGauges.Scale.values()) {
            var readings = ToeGauges.forward(left, right, scale, 420, PERFECT, random);
            var result = ToeGauges.evaluate(readings, 0).orElseThrow();
            assertEquals(left + right, result.totalToe().value(), TOLERANCE);
            assertEquals(left - right, result.imbalance().value(), TOLERANCE);
        }
    }

    private record Box(ToeBox.Truth truth, ToeBox.SetUp setUp) {

        static Box random(RandomGenerator random) {
            Map<Wheel, Double> toes = new EnumMap<>(Wheel.class);
            for (Wheel wheel : Wheel.values()) {
                toes.put(wheel, toe(random));
            }
            var truth = new ToeBox.Truth(
                    between(random, 2200, 4200),
                    new ToeBox.Tracks(between(random, 1350, 1800), between(random, 1350, 1800)),
                    between(random, 350, 600),
                    toes);
            return new Box(truth, roughly(random));
        }

        private static ToeBox.SetUp roughly(RandomGenerator random) {
            return new ToeBox.SetUp(
                    between(random, -400, 700),
                    between(random, 2000, 5000),
                    between(random, 1000, 1100),
                    between(random, 1000, 1100),
                    between(random, 1000, 1100),
                    between(random, 1000, 1100));
        }

        ToeBox.Readings read(RandomGenerator random) {
            return ToeBox.forward(truth, setUp, PERFECT, PERFECT, random);
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void box_givesBackEveryWheelAndTheTracks_howeverCrookedItStands(long seed) {
        var random = Seeds.generator(seed);
        Box box = Box.random(random);
        var result = ToeBox.evaluate(box.read(random), Optional.empty()).orElseThrow();
        result.toes()
                .forEach((wheel, toe) ->
                        assertEquals(box.truth().toes().get(wheel), toe.value(), TOLERANCE, wheel.key()));
        assertEquals(box.truth().tracks().front(), result.tracks().orElseThrow().front(), 1e-6);
        assertEquals(box.truth().tracks().rear(), result.tracks().orElseThrow().rear(), 1e-6);
        double difference = box.truth().tracks().front() - box.truth().tracks().rear();
        assertEquals(difference, result.trackDifference(), 1e-6);
        double left = result.toes().get(Wheel.FRONT_LEFT).value();
        double right = result.toes().get(Wheel.FRONT_RIGHT).value();
        assertEquals(left + right, result.totalFront().orElseThrow().value(), 1e-12);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void box_seenInAMirror_swapsTheSides(long seed) {
        var random = Seeds.generator(seed);
        var r = Box.random(random).read(random);
        Map<Wheel, RimGaps> mirrored = new EnumMap<>(Wheel.class);
        r.wheels().forEach((wheel, gaps) -> mirrored.put(wheel.opposite(), gaps));
        var mirror = new ToeBox.Readings(
                r.spacingFront(),
                r.spacingRear(),
                r.stationDistance(),
                r.wheelbase(),
                PerWheel.of(wheel -> r.hubGaps().at(wheel.opposite())),
                mirrored,
                OptionalDouble.empty());
        var u = Optional.of(new ReadingUncertainty(0.5, 0.4, 0.3));
        var seen = ToeBox.evaluate(r, u).orElseThrow();
        var inMirror = ToeBox.evaluate(mirror, u).orElseThrow();
        assertEquals(seen.skewLeft(), inMirror.skewRight(), 1e-15);
        assertEquals(
                seen.thrustAngle().orElseThrow().value(),
                -inMirror.thrustAngle().orElseThrow().value(),
                1e-15);
        seen.toes().forEach((wheel, toe) -> {
            var other = inMirror.toes().get(wheel.opposite());
            assertEquals(toe.value(), other.value(), 1e-15);
            assertEquals(toe.standardUncertainty(), other.standardUncertainty(), 1e-15);
        });
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {7, 8})
    void box_uncertainty_isTheScatterOfManyMeasurements(long seed) {
        var random = Seeds.generator(seed);
        Box box = Box.random(random);
        var u = new ReadingUncertainty(0.6, 0.3, 0.3);
        var stated = ToeBox.evaluate(box.read(random), Optional.of(u)).orElseThrow();
        int n = 20_000;
        double sum = 0;
        double squares = 0;
        for (int i = 0; i < n; i++) {
            var noisy =
                    ToeBox.forward(box.truth(), box.setUp(), new Instrument(0, 0.6), new Instrument(0, 0.3), random);
            double ahead = ToeBox.evaluate(noisy, Optional.empty())
                    .orElseThrow()
                    .steerAhead()
                    .orElseThrow()
                    .value();
            sum += ahead;
            squares += ahead * ahead;
        }
        double scatter = Math.sqrt((squares - sum * sum / n) / (n - 1));
        double claimed = stated.steerAhead().orElseThrow().standardUncertainty();
        assertEquals(1, scatter / claimed, 0.03);
    }

    @Test
    void instrument_readsInItsSteps_andTheSameAgainFromTheSameSeed() {
        var rule = new Instrument(0.5, 0.3);
        double first = rule.read(57.31, Seeds.generator(5));
        assertEquals(first, rule.read(57.31, Seeds.generator(5)));
        assertEquals(0, first * 2 - Math.rint(first * 2));
        assertEquals(57.31, PERFECT.read(57.31, Seeds.generator(5)));
        assertThrows(IllegalArgumentException.class, () -> new Instrument(-1, 0));
    }
}
