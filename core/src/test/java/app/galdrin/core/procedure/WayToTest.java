package app.galdrin.core.procedure;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.procedure.ProceduresTest.ONCE;
import static app.galdrin.core.procedure.ProceduresTest.fresh;
import static app.galdrin.core.procedure.ProceduresTest.rearToes;
import static app.galdrin.core.procedure.ProceduresTest.standing;
import static app.galdrin.core.procedure.ProceduresTest.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.procedure.paper.IntermediateSteps;
import app.galdrin.core.record.Step;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What stands on the way to a figure that is worked on paper, and what follows from another number there. */
class WayToTest {

    @ParameterizedTest
    @CsvSource({
        "strings,toe.front.left,solved,skew.left",
        "strings,toe.front.right,solved,skew.right",
        "strings,totalToe.front,solved,",
        "rearString,toe.front.left,solved,lengthDifference",
        "laserLine,toe.rear.right,solved,lengthDifference",
        "plates,totalToe.front,solved,lengthDifference",
        "treadTape,totalToe.front,solved,baseline lengthDifference",
        "flags,toe.front.right,solved,totalToe difference",
        "sweep,caster.front.left,factor,factor",
        "sweep,caster.front.left,oneAndAHalf,",
        "fullLock,caster.front.left,subtract,",
        "sweep,camber.front.left,factor,",
        "inclinometer90,camber.front.left,solved,againstPlumb",
        "plumbRule,camber.front.right,solved,camber",
        "setback,setback.front,solved,",
        "turnOut,turnOut.front.leftLock,solved,",
    })
    void aPersonWritesDown_whatHeGoesOnFrom(String procedure, String figure, String taught, @Nullable String expected) {
        var standing = new MeasuringContext(Vehicles.van(), BayFloor.LEVEL);
        List<Intermediate> found = IntermediateSteps.any(fresh(procedure), figure(figure), standing, taught)
                .intermediates();
        assertEquals(
                expected == null ? "" : expected,
                found.stream().map(Intermediate::key).collect(Collectors.joining(" ")));
    }

    /** The formulas are those of the kinds, and who writes what his readings give changes nothing. */
    @ParameterizedTest
    @MethodSource("app.galdrin.core.procedure.ProceduresTest#overSeeds")
    void formulas_giveWhatTheKindsGive(Procedure procedure, long seed) {
        RandomGenerator random = Seeds.generator(seed);
        Truth truth = truth(random);
        MeasuringContext standing = standing(procedure, random).with(rearToes(truth));
        Map<String, Double> readings = procedure.readings(truth, standing);
        for (String taught : procedure.taught()) {
            WorkedRepeat worked = procedure.work(readings, standing, ONCE, taught);
            for (FigureId figure : procedure.sees()) {
                worked.stepsTo(figure, taught)
                        .ifPresent(steps -> steps.stream()
                                .filter(s -> s.formula().isKnown())
                                .forEach(s -> assertEquals(
                                        s.out().value(),
                                        s.reworked(Map.of()).orElseThrow(),
                                        1e-9,
                                        s.formula().key())));
                var way = new IntermediateSteps(procedure, figure, List.of(worked, worked), taught);
                Map<Intermediate, Double> honest = way.intermediates().stream()
                        .collect(Collectors.toMap(
                                i -> i, i -> way.at(i, Map.of()).orElseThrow()));
                assertEquals(0, way.shift(honest), 1e-12, figure.key());
                honest.keySet()
                        .forEach(i -> assertTrue(
                                way.shift(Map.of(i, honest.get(i) + 0.01)) != 0, figure.key() + " goes on from " + i));
            }
        }
    }

    /** Two tapes 4 mm apart over 500 mm; who has written 5 goes on to the toe of 5, and two repeats have one way. */
    @Test
    void whatIsWritten_isGoneOnFrom() {
        Procedure plates = fresh("plates");
        var standing = plates.asUsual(new MeasuringContext(Vehicles.van(), BayFloor.LEVEL));
        Truth four = new Truth(Map.of(figure("toe.front.left"), Math.toRadians(0.4)));
        WorkedRepeat worked = plates.work(plates.readings(four, standing), standing, ONCE, "solved");
        FigureId total = figure("totalToe.front");
        Step last = worked.stepsTo(total, "solved").orElseThrow().get(1);
        double d = last.in().get(0).value();
        double baseline = last.in().get(1).value();
        var way = new IntermediateSteps(plates, total, List.of(worked, worked), "solved");
        assertEquals(d, way.at(Intermediate.LENGTH_DIFFERENCE, Map.of()).orElseThrow(), 1e-12);
        double follows = 2 * Math.asin((d + 1) / (2 * baseline));
        assertEquals(follows - last.out().value(), way.shift(Map.of(Intermediate.LENGTH_DIFFERENCE, d + 1)), 1e-12);
        assertEquals(OptionalDouble.empty(), way.at(Intermediate.FACTOR, Map.of()));
        assertEquals(0, way.shift(Map.of(Intermediate.FACTOR, 3.0)), "it is not on this way");
        assertEquals(
                OptionalDouble.empty(),
                last.reworked(Map.of("lengthDifference", 3 * baseline)),
                "longer than any angle makes it");
    }

    /** The difference of the flags follows from the total before it only where it was not written itself. */
    @Test
    void aStepBehind_followsFromTheStepBeforeIt() {
        Procedure flags = fresh("flags");
        var standing = flags.asUsual(new MeasuringContext(Vehicles.van(), BayFloor.LEVEL));
        Truth truth = new Truth(Map.of(figure("toe.front.left"), 0.01, figure("toe.front.right"), 0.004));
        WorkedRepeat worked = flags.work(flags.readings(truth, standing), standing, ONCE, "solved");
        var way = new IntermediateSteps(flags, figure("toe.front.left"), List.of(worked), "solved");
        double total = way.at(Intermediate.TOTAL, Map.of()).orElseThrow();
        assertEquals(0.014, total, 1e-9);
        assertEquals(0.001, way.shift(Map.of(Intermediate.TOTAL, total + 0.002)), 1e-9);
        double difference = way.at(Intermediate.DIFFERENCE, Map.of()).orElseThrow();
        assertEquals(
                0.0015,
                way.shift(Map.of(Intermediate.TOTAL, total + 0.002, Intermediate.DIFFERENCE, difference + 0.001)),
                1e-9);
    }
}
