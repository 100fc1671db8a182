package app.galdrin.core.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.ToeTask;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Slips made on purpose are found again, whatever the vehicle's state, and the right figure is never explained away. */
class SlipFinderTest {

    private static final ToeTask TASK = Sheets.strings(AnswerUnit.DEGREES, DecisionRule.SIMPLE);

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 60);
    }

    private record Case(List<Map<String, Double>> readings, double total, double left, double right) {

        static Case of(long seed) {
            var random = Seeds.generator(seed);
            double toeLeft = Seeds.between(random, 0.1, 0.8);
            double toeRight = Seeds.between(random, -0.8, -0.1) * 1.37;
            var box = Sheets.box(toeLeft, toeRight, Instrument.PERFECT, random);
            ToeFigures figures = TASK.work(List.of(box)).get(0);
            return new Case(
                    List.of(box),
                    Math.toDegrees(figures.total().value()),
                    Math.toDegrees(figures.left().orElseThrow().value()),
                    Math.toDegrees(figures.right().orElseThrow().value()));
        }

        Set<Set<Slip>> explain(Asked asked, double written) {
            return new SlipFinder(TASK, readings)
                    .explain(asked, v -> Math.abs(v - written) < 1e-6).stream().collect(Collectors.toSet());
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void everySingleSlip_isFoundAgain(long seed) {
        Case c = Case.of(seed);
        assertTrue(c.explain(Asked.TOTAL, -c.total()).contains(Set.of(Slip.METHOD_SIGN)));
        assertTrue(c.explain(Asked.TOTAL, c.total() / 2).contains(Set.of(Slip.ONE_WHEEL_FOR_TOTAL)));
        assertTrue(c.explain(Asked.TOTAL, c.right()).contains(Set.of(Slip.ONE_WHEEL_FOR_TOTAL)));
        assertTrue(c.explain(Asked.LEFT, c.total()).contains(Set.of(Slip.ONE_WHEEL_FOR_TOTAL)));
        assertTrue(c.explain(Asked.LEFT, c.right()).contains(Set.of(Slip.LEFT_RIGHT_SWAPPED)));
        double mm = 416 * Math.sin(Math.toRadians(c.left()));
        assertTrue(c.explain(Asked.LEFT, mm).contains(Set.of(Slip.MM_FOR_DEGREES)));
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void aPairOfSlips_isFoundAgain_whereNoSingleOneFits(long seed) {
        Case c = Case.of(seed);
        double swappedAndSigned = -c.right();
        var found = c.explain(Asked.LEFT, swappedAndSigned);
        assertEquals(Set.of(Set.of(Slip.METHOD_SIGN, Slip.LEFT_RIGHT_SWAPPED)), found);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void aFigureThatNoSlipGives_isNotGuessedAt(long seed) {
        Case c = Case.of(seed);
        assertEquals(Set.of(), c.explain(Asked.TOTAL, 17.77 + c.total()));
    }

    @Test
    void readingsWrittenTheWrongWayRound_areNamed_whenSwappingThemAgreesWithTheReference() {
        var right = Sheets.box(0.31, 0.13, Instrument.PERFECT, Seeds.generator(1));
        Map<String, Double> swapped = new HashMap<>(right);
        swapped.put("wheels.fl.frontGap", right.get("wheels.fl.rearGap"));
        swapped.put("wheels.fl.rearGap", right.get("wheels.fl.frontGap"));
        swapped.put("wheels.fr.frontGap", right.get("wheels.fr.rearGap"));
        swapped.put("wheels.fr.rearGap", right.get("wheels.fr.frontGap"));
        var slips = new SlipFinder(TASK, List.of(swapped))
                .explainReadings(Asked.TOTAL, toe -> Math.abs(toe - Math.toRadians(0.44)) < Math.toRadians(0.02));
        assertEquals(List.of(Set.of(Slip.FRONT_REAR_SWAPPED)), slips);
    }

    @Test
    void gapsWrittenInInches_areNamed() {
        var right = Sheets.box(0.31, 0.13, Instrument.PERFECT, Seeds.generator(1));
        Map<String, Double> inches = new HashMap<>(right);
        inches.replaceAll((place, mm) -> place.contains("Gap") ? mm / 25.4 : mm);
        var slips = new SlipFinder(TASK, List.of(inches))
                .explainReadings(Asked.LEFT, toe -> Math.abs(toe - Math.toRadians(0.31)) < Math.toRadians(0.02));
        assertEquals(List.of(Set.of(Slip.INCHES_UNCONVERTED)), slips);
    }
}
