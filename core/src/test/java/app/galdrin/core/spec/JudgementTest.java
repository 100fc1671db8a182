package app.galdrin.core.spec;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.uncertainty.Estimate;
import java.util.OptionalDouble;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class JudgementTest {

    static LongStream seeds() {
        return Seeds.some();
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void zones_followOneAnotherWithoutGapOrOverlap_onTheWayOut(long seed) {
        var random = Seeds.generator(seed);
        var limits = Limits.of(-0.2, -0.1, Seeds.between(random, -0.1, 0.3));
        double u = Seeds.between(random, 0, 0.2);
        Zone last = Zone.OUTSIDE;
        for (double value = -2; value < 2; value += 0.003) {
            Zone zone = Judgement.of(new Estimate(value, u), limits, Judgement.K, DecisionRule.SIMPLE)
                    .zone();
            int step = Math.abs(zone.ordinal() - last.ordinal());
            boolean jumpsOverANarrowZone = u < 0.003 || limits.max().getAsDouble() + 0.2 < 4 * u + 0.01;
            assertTrue(step <= 1 || jumpsOverANarrowZone, zone + " after " + last + " at " + value);
            last = zone;
        }
        assertEquals(Zone.OUTSIDE, last);
    }

    @Test
    void guardedAcceptance_neverAcceptsMoreThanSimple() {
        var limits = Limits.of(-0.2, 0, 0.2);
        for (double value = -0.4; value < 0.4; value += 0.01) {
            var estimate = new Estimate(value, 0.04);
            boolean guarded = Judgement.of(estimate, limits, Judgement.K, DecisionRule.GUARDED)
                    .accepted();
            boolean simple = Judgement.of(estimate, limits, Judgement.K, DecisionRule.SIMPLE)
                    .accepted();
            assertTrue(simple || !guarded);
        }
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
                () -> new VehicleGeometry(2760, 1484, 0, 416, 301, Linkage.BEHIND, 1.5, false, 136, 17.8));
        assertTrue(refused.getMessage().startsWith("rearTrack (0.0)"));
    }
}
