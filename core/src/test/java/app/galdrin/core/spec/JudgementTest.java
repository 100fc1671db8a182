package app.galdrin.core.spec;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class JudgementTest {

    static LongStream seeds() {
        return Seeds.some();
    }

    /** The zones as the standard draws them, each by itself; exactly one must claim every value. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void zones_partitionTheLine(long seed) {
        var random = Seeds.generator(seed);
        double min = Seeds.between(random, -0.3, 0);
        double max = min + Seeds.between(random, 0, 0.4);
        boolean oneSided = random.nextInt(4) == 0;
        var limits = new Limits(
                oneSided ? OptionalDouble.empty() : OptionalDouble.of(min),
                OptionalDouble.empty(),
                OptionalDouble.of(max));
        double lowest = oneSided ? Double.NEGATIVE_INFINITY : min;
        double u = random.nextInt(5) == 0 ? 0 : Seeds.between(random, 0, 0.2);
        double expanded = 2 * u;
        for (int i = 0; i < 500; i++) {
            double value = Seeds.between(random, -1, 1);
            boolean within = lowest <= value && value <= max;
            boolean inside = lowest + expanded <= value && value <= max - expanded;
            boolean outside = value <= lowest - expanded || value >= max + expanded;
            List<Zone> claiming = new ArrayList<>();
            if (inside) claiming.add(Zone.INSIDE);
            if (outside) claiming.add(Zone.OUTSIDE);
            if (within && !inside && !outside) claiming.add(Zone.DOUBT_INSIDE);
            if (!within && !outside) claiming.add(Zone.DOUBT_OUTSIDE);
            Judgement judged = Judgement.of(new Estimate(value, u), limits, Judgement.K, DecisionRule.SIMPLE);
            assertEquals(
                    List.of(judged.zone()), claiming, value + " in " + lowest + " to " + max + " with U " + expanded);
            assertEquals(within, judged.accepted());
            assertEquals(within, judged.excess() <= 0);
            Judgement guarded = Judgement.of(new Estimate(value, u), limits, Judgement.K, DecisionRule.GUARDED);
            assertEquals(inside, guarded.accepted());
        }
    }

    @ParameterizedTest
    @CsvSource({"0.2,0,INSIDE", "-0.2,0,INSIDE", "0.2,0.01,DOUBT_INSIDE", "0.18,0.01,INSIDE", "0.22,0.01,OUTSIDE"})
    void onALine_theInnerSideCounts(double value, double u, Zone zone) {
        var limits = Limits.of(-0.2, 0, 0.2);
        assertEquals(
                zone,
                Judgement.of(new Estimate(value, u), limits, Judgement.K, DecisionRule.SIMPLE)
                        .zone());
    }

    @Test
    void limits_theWrongWayRound_areRefused() {
        assertThrows(IllegalArgumentException.class, () -> Limits.of(0.2, 0, -0.2));
        assertThrows(IllegalArgumentException.class, () -> Limits.of(-0.2, 0.5, 0.2));
        var none = OptionalDouble.empty();
        assertThrows(IllegalArgumentException.class, () -> new Limits(none, none, none));
        assertEquals(
                1,
                new Limits(OptionalDouble.of(0), none, OptionalDouble.of(2))
                        .target()
                        .getAsDouble());
    }

    @Test
    void geometry_withoutAFigure_isRefused() {
        var refused = assertThrows(
                IllegalArgumentException.class,
                () -> new VehicleGeometry(
                        2760, 1484, 0, new WheelSize(416, 301), Linkage.BEHIND, 1.5, false, 136, 17.8));
        assertTrue(refused.getMessage().startsWith("rearTrack (0.0)"));
    }
}
