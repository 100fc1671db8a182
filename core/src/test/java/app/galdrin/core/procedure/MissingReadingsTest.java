package app.galdrin.core.procedure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.uncertainty.Estimate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Figures of readings that are not all there. */
class MissingReadingsTest {

    static List<Procedure> procedures() {
        return Procedures.all();
    }

    private static Map<FigureId, Estimate> figures(
            Procedure procedure, MeasuringContext standing, Map<String, Double> readings) {
        return procedure
                .work(readings, standing, Place::asInput, procedure.taught().get(0))
                .figures();
    }

    /** A second way, which takes fewer readings, comes to a figure of its own. */
    private static boolean isWorkedInTwoWays(Procedure procedure, FigureId figure) {
        return Stream.concat(Stream.of(figure), Derivation.parts(figure).stream())
                .anyMatch(f -> procedure.evaluations().stream()
                                .filter(e -> e.figures().containsValue(f))
                                .count()
                        > 1);
    }

    /** Whatever is left out: what still comes out is what comes out of all, with the same doubt, and never of what is not there. */
    @ParameterizedTest
    @MethodSource("procedures")
    void whatIsLeft_isAsItWas(Procedure procedure) {
        RandomGenerator random = Seeds.generator(7);
        Truth truth = ProceduresTest.truth(random);
        MeasuringContext standing = ProceduresTest.standing(procedure, random).with(ProceduresTest.rearToes(truth));
        Map<String, Double> all = procedure.readings(truth, standing);
        Map<FigureId, Estimate> whole = figures(procedure, standing, all);
        for (int i = 0; i < 40; i++) {
            Map<String, Double> some = new HashMap<>(all);
            Set<String> left = new TreeSet<>();
            all.keySet().stream().filter(place -> random.nextInt(6) == 0).forEach(left::add);
            some.keySet().removeAll(left);
            Map<FigureId, Estimate> still = figures(procedure, standing, some);
            still.keySet().removeIf(figure -> isWorkedInTwoWays(procedure, figure));
            still.forEach((figure, estimate) -> {
                String what = procedure.key() + " " + figure + " without " + left;
                Estimate before = whole.get(figure);
                assertTrue(Tolerance.ROUNDING.equal(before.value(), estimate.value()), what);
                assertEquals(1, estimate.standardUncertainty() / before.standardUncertainty(), 0.001, what);
                estimate.budget()
                        .forEach((source, part) -> assertTrue(part == 0 || !left.contains(source.name()), what));
            });
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "strings | wheels.rl.rearGap | toe.front.left toe.front.right toe.rear.right totalToe.front",
                "strings | wheels.fl.frontGap | thrust.rear toe.front.right toe.rear.left toe.rear.right totalToe.rear",
                "strings | hubGap.rl | ''",
                "wheelHeads | fl.headToe | camber.front.left camber.front.right camber.rear.left camber.rear.right thrust.rear toe.front.right toe.rear.left toe.rear.right totalToe.rear",
                "flags | rl.flag | totalToe.front",
            })
    void aFigure_isThereWithoutWhatItDoesNotNeed(String key, String missing, String left) {
        Procedure procedure = Procedures.of(key);
        RandomGenerator random = Seeds.generator(7);
        MeasuringContext standing = ProceduresTest.standing(procedure, random);
        Map<String, Double> some = new HashMap<>(procedure.readings(ProceduresTest.truth(random), standing));
        assertTrue(some.remove(missing) != null, () -> "its places are " + some.keySet());
        Set<String> there = figures(procedure, standing, some).keySet().stream()
                .filter(f -> f.measurand().form() != Measurand.Form.DIFFERENCE)
                .map(FigureId::key)
                .collect(Collectors.toCollection(TreeSet::new));
        assertEquals(left, String.join(" ", there));
    }

    @Test
    void withoutAnyReading_thereIsNothing() {
        for (Procedure procedure : Procedures.all()) {
            assertTrue(figures(procedure, ProceduresTest.standing(procedure, Seeds.generator(7)), Map.of())
                    .isEmpty());
        }
    }
}
