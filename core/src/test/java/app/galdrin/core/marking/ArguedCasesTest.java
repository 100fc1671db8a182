package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.marking.MarkerTest.flawless;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import app.galdrin.core.task.Measure;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Ten sheets whose marks can be argued before a board, on the van of {@link MarkerTest}: each is the flawless sheet with one thing changed, and loses
 * what is written here and nothing else. Seven figures are worked for 20 marks, so that one is 2.9; three readings of a step share 7 (camber and
 * caster have two); a verdict of nine figures keeps a tenth of its 15 for what can be adjusted.
 */
class ArguedCasesTest {

    private static Arguments sheet(
            String why, UnaryOperator<Bench> changed, Map<String, String> marks, String... named) {
        return Arguments.of(why, changed, marks, List.of(named));
    }

    private static Bench withTheSenseTheOtherWay(Bench bench) {
        Measure caster = bench.practical().measure("caster").orElseThrow();
        List<Map<String, Double>> read = bench.answers().readings(caster, 0);
        for (int i = 0; i < read.size(); i++) {
            double leans = read.get(i).getOrDefault("fl.out.camber", 0.0);
            bench.write(
                    "caster/fl.out.camber/" + (i + 1) + "/0",
                    String.format(Locale.ROOT, "%.2f, %s", Math.abs(leans), leans > 0 ? "topIn" : "topOut"));
        }
        return bench.write(
                "work/caster.front.left/0/0",
                String.format(Locale.ROOT, "%.2f", bench.honest(figure("caster.front.left"))));
    }

    static Stream<Arguments> sheets() {
        return Stream.of(
                sheet(
                        "the front wheels' toe does not need the rims of the rear ones",
                        b -> b.strike("toe/wheels.rl.rearGap/1/0").strike("toe/wheels.rr.rearGap/2/0"),
                        Map.of()),
                sheet(
                        "a wheel that was not worked costs its share of the working, and is judged and planned on by his readings",
                        b -> b.strike("work/camber.front.left/0/0"),
                        Map.of("work.working", "17.1")),
                sheet(
                        "a minus lost at one wheel costs that wheel and is named; the total adds up what he wrote, verdict and plan go by it",
                        b -> b.write("work/toe.front.left/0/0", "-0.3").write("work/totalToe.front/0/0", "-0.2"),
                        Map.of("work.working", "17.1", "judge.verdict", "13.5", "plan.plan", "8.0"),
                        "methodSign"),
                sheet(
                        "a moved point costs its figure and needs no slip; by it the caster is outside, and so is the difference of the sides",
                        b -> b.write("work/caster.front.left/0/0", "0.35"),
                        Map.of("work.working", "17.1", "judge.verdict", "12.0", "plan.plan", "8.0")),
                sheet(
                        "a gap misread in both repeats costs the wheel and the total that it moves, and is no slip; the sums are those of his figures",
                        b -> b.write("toe/wheels.fl.frontGap/1/0", "90").write("toe/wheels.fl.frontGap/2/0", "90"),
                        Map.of("toe.reading", "2.3", "work.working", "17.1")),
                sheet(
                        "top in for top out in a sweep is named on its reading; the sum and all that follows are those of his figures",
                        ArguedCasesTest::withTheSenseTheOtherWay,
                        Map.of("caster.reading", "3.5", "judge.verdict", "12.0", "plan.plan", "8.0"),
                        "wrongSense"),
                sheet(
                        "nothing said of one figure costs its share of the verdict",
                        b -> b.strike("judge/toe.front.left/0/0"),
                        Map.of("judge.verdict", "13.5")),
                sheet(
                        "added parts on a vehicle that has none costs a third of a tenth",
                        b -> b.write("judge/adjustable.camber.front/0/0", "addedParts"),
                        Map.of("judge.verdict", "14.5")),
                sheet(
                        "a rod left out of the plan costs what it moves",
                        b -> b.strike("plan/rod.front.left.way/0/0"),
                        Map.of("plan.plan", "8.0")),
                sheet(
                        "a total that adds up his own two wheels is right, whatever they are",
                        b -> b.write("work/toe.front.left/0/0", "0.57").write("work/totalToe.front/0/0", "0.67"),
                        Map.of("work.working", "17.1", "plan.plan", "8.0")));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("sheets")
    void aSheet_losesWhatIsArgued(
            String why, UnaryOperator<Bench> changed, Map<String, String> marks, List<String> named) {
        Map<String, String> lost = new TreeMap<>();
        MarkSheet before = flawless().mark();
        MarkSheet after = changed.apply(flawless()).mark();
        for (int i = 0; i < before.lines().size(); i++) {
            BigDecimal is = after.lines().get(i).marks();
            if (is.compareTo(before.lines().get(i).marks()) != 0) {
                lost.put(after.lines().get(i).criterion().key(), is.toString());
            }
        }
        assertEquals(new TreeMap<>(marks), lost, why);
        List<String> accused = new ArrayList<>();
        after.lines().stream().flatMap(l -> l.evidence().stream()).forEach(e -> {
            if (e instanceof WorkingEvidence w) {
                assertFalse(w.possible() && w.slips().isEmpty(), "possible, and nothing that is");
            }
            if (e instanceof WorkingEvidence w && !w.possible()) {
                w.slips().forEach(accused::addAll);
            } else if (e instanceof ReadingEvidence r && !r.possible()) {
                r.slips().forEach(accused::addAll);
            }
        });
        assertEquals(named, accused.stream().distinct().toList(), why);
    }
}
