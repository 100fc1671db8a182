package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.marking.MarkerTest.flawless;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.uncertainty.Estimate;
import java.math.BigDecimal;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is missing costs its own criterion and nothing else, and is named. */
class MissingTest {

    private static Map<String, BigDecimal> marks(Bench bench) {
        Map<String, BigDecimal> marks = new TreeMap<>();
        bench.mark().lines().forEach(line -> marks.put(line.criterion().key(), line.marks()));
        return marks;
    }

    private static Bench strike(Bench bench, String place) {
        for (int repeat = 1; repeat <= 2; repeat++) {
            bench.strike("toe/" + place + "/" + repeat + "/0");
        }
        return bench;
    }

    /** The front wheels' toe does without what was read at the rims of the rear ones. */
    @ParameterizedTest
    @ValueSource(strings = {"wheels.rl.rearGap", "wheels.rr.rearGap", "wheels.rl.frontGap"})
    void aGapThatNothingNeeds_costsNothing(String gap) {
        assertEquals(marks(flawless()), marks(strike(flawless(), gap)));
    }

    /** One wheel's gap takes that wheel's figures of that repeat, and leaves the other wheel whole. */
    @Test
    void aGapOfOneWheel_leavesTheOther() {
        Bench bench = flawless().strike("toe/wheels.fl.frontGap/2/0");
        Map<String, Integer> taken = new TreeMap<>();
        bench.evidence("toe.reading", ReadingEvidence.class)
                .forEach(e -> taken.put(e.figure().key(), e.taken()));
        assertEquals(Map.of("toe.front.left", 1, "toe.front.right", 2, "totalToe.front", 1), taken);
        Map<String, BigDecimal> marks = marks(flawless());
        marks(bench).forEach((line, mark) -> {
            if (!line.startsWith("toe.")) {
                assertEquals(marks.get(line), mark, line);
            }
        });
        assertEquals(
                List.of(new MissingReading("strings", "wheels.fl.frontGap", 2)),
                bench.evidence("toe.repeatability", Evidence.MissingEntry.class)
                        .get(0)
                        .readings());
    }

    /** A hub gap goes into everything: nothing is left of the readings, the gap is named, and what was written from them stands. */
    @Test
    void withoutAHubGap_theReadingsAreMissing_andWhatWasWrittenIsJudgedAndPlannedOn() {
        Bench bench = strike(flawless(), "hubGap.rl");
        var missing = bench.evidence("toe.reading", Evidence.MissingEntry.class).get(0);
        assertEquals(Lack.READINGS, missing.what());
        assertEquals(
                List.of(new MissingReading("strings", "hubGap.rl", 1), new MissingReading("strings", "hubGap.rl", 2)),
                missing.readings());
        Map<String, BigDecimal> whole = marks(flawless());
        Map<String, BigDecimal> marks = marks(bench);
        for (String line : List.of("judge.verdict", "plan.plan", "adjust.asLeft", "camber.reading", "caster.reading")) {
            assertEquals(whole.get(line), marks.get(line), line);
        }
        assertTrue(bench.evidence("judge.verdict", Evidence.MissingEntry.class).isEmpty());
    }

    /** The second repeat was 1 mm off the first, and the mean was written; struck, it can have been so, and anything else can't. */
    @ParameterizedTest
    @CsvSource({"0.02,1", "0.60,0"})
    void aFigureOfAllRepeats_staysRight_whereOneCanHaveBeenAsItSays(double moreThanTheOther, double credit) {
        Bench bench = flawless().strike("toe/wheels.fl.frontGap/2/0");
        FigureId left = figure("toe.front.left");
        double wrote = bench.honest(left) + moreThanTheOther;
        bench.write("work/toe.front.left/0/0", String.format(Locale.ROOT, "%.2f", wrote));
        var working = bench.evidence("work.working", WorkingEvidence.class).stream()
                .filter(e -> e.figure().equals(left))
                .findFirst()
                .orElseThrow();
        assertEquals(credit, working.credit(), working.toString());
        assertEquals(
                credit == 1 ? List.of(new MissingReading("strings", "wheels.fl.frontGap", 2)) : List.of(),
                working.unread());
    }

    /** A wheel that was not worked costs its own working: verdict and plan go by what his readings give. */
    @Test
    void aWheelThatIsNotWorked_costsItsWorkingAlone() {
        Map<String, BigDecimal> whole = marks(flawless());
        marks(flawless().strike("work/camber.front.left/0/0")).forEach((line, mark) -> {
            if (!line.equals("work.working")) {
                assertEquals(whole.get(line), mark, line);
            }
        });
    }

    /** A step of the total, one of the wheel that is written and one of the wheel that is not: 0.03 in all, and no more. */
    @ParameterizedTest
    @CsvSource({"-0.03,1", "0.03,1", "0.06,0", "-0.06,0"})
    void aTotal_staysRight_whereItFollowsFromTheWheelThatIsLeft(double off, double credit) {
        Bench bench = flawless().strike("work/toe.front.right/0/0");
        FigureId left = figure("toe.front.left");
        FigureId total = figure("totalToe.front");
        write(bench, left, bench.honest(left) + Math.copySign(0.01, off));
        write(bench, total, bench.honest(total) + off);
        var working = bench.evidence("work.working", WorkingEvidence.class).stream()
                .filter(e -> e.figure().equals(total))
                .findFirst()
                .orElseThrow();
        assertEquals(credit, working.credit(), working.toString());
    }

    private static void write(Bench bench, FigureId figure, double value) {
        bench.write("work/" + figure.key() + "/0/0", String.format(Locale.ROOT, "%.2f", value));
    }

    /**
     * By guarded acceptance a figure is too close to tell within U of its limit, and U is larger where a repeat is missing. Wherever the whole sheet
     * is right so is the one that lacks a repeat; right beside the limit of 0.1° nothing but "too close to tell" is.
     */
    @Test
    void aMissingRepeat_takesNoVerdictAway() {
        FigureId figure = figure("camber.front.left");
        Set<Verdict> more = EnumSet.noneOf(Verdict.class);
        for (int hundredths = -15; hundredths <= 35; hundredths++) {
            Set<Verdict> whole = right(guarded(), figure, hundredths / 100.0);
            Bench lacking = guarded();
            lacking.strike("camber/" + placeOf(lacking, figure) + "/2/0");
            Set<Verdict> part = right(lacking, figure, hundredths / 100.0);
            assertTrue(part.containsAll(whole), hundredths + " " + whole + part);
            if (!part.equals(whole)) {
                more.addAll(part);
            }
            if (hundredths == 9 || hundredths == 11) {
                assertEquals(Set.of(Verdict.TOO_CLOSE), part);
            }
        }
        assertEquals(EnumSet.allOf(Verdict.class), more);
    }

    /** With both repeats its doubt is its own; with one of two it can as well have averaged out, or be as the task asks for it. */
    @Test
    void aMissingRepeat_canHaveAveragedOut() {
        FigureId figure = figure("camber.front.left");
        Bench lacking = guarded();
        lacking.strike("camber/" + placeOf(lacking, figure) + "/2/0");
        double own = standing(lacking, figure).standardUncertainty();
        double asked = lacking.assignment
                .asAsked(lacking.practical().measure("camber").orElseThrow(), figure)
                .orElseThrow()
                .standardUncertainty();
        List<Double> doubts = doubts(lacking, figure);
        for (double doubt : List.of(own, asked, own * Math.sqrt(0.5))) {
            assertTrue(doubts.stream().anyMatch(u -> Math.abs(u - doubt) < 1e-9), doubt + " in " + doubts);
        }
        double whole = standing(guarded(), figure).standardUncertainty();
        assertEquals(
                List.of(whole), doubts(guarded(), figure).stream().distinct().toList());
    }

    /**
     * A rear gap that a repeat lacks leaves the thrust line open within its U, and a front wheel with it; of the values between, the limits are
     * tried.
     */
    @Test
    void aThrustLineReadInPart_leavesAFrontWheelOpenWithinItsU() {
        FigureId figure = figure("toe.front.left");
        Bench lacking = guarded().strike("toe/wheels.rl.rearGap/2/0");
        var sat = lacking.sitting();
        double reach = 2 * sat.own().thrustLine("judge").orElseThrow().standardUncertainty();
        Estimate standing = standing(lacking, figure);
        List<Double> values = sat.likewise(figure, "judge", standing).stream()
                .map(Estimate::value)
                .distinct()
                .toList();
        assertEquals(standing.value() - reach, Collections.min(values), 1e-12);
        assertEquals(standing.value() + reach, Collections.max(values), 1e-12);
        var limits = lacking.assignment.limits(figure).orElseThrow();
        for (double limit :
                new double[] {limits.min().orElseThrow(), limits.max().orElseThrow()}) {
            if (Math.abs(limit - standing.value()) < reach) {
                assertTrue(values.contains(limit), limit + " in " + values);
            }
        }
    }

    private static Estimate standing(Bench bench, FigureId figure) {
        return bench.sitting().standing(figure, "judge").orElseThrow();
    }

    private static List<Double> doubts(Bench bench, FigureId figure) {
        return bench.sitting().likewise(figure, "judge", standing(bench, figure)).stream()
                .map(Estimate::standardUncertainty)
                .toList();
    }

    private static Set<Verdict> right(Bench bench, FigureId figure, double wrote) {
        write(bench, figure, wrote);
        bench.write("judge/" + figure.key() + "/0/0", Verdict.INSIDE.key());
        return bench.evidence("judge.verdict", Evidence.JudgedFigure.class).stream()
                .filter(e -> e.figure().equals(figure))
                .findFirst()
                .orElseThrow()
                .right();
    }

    private static Bench guarded() {
        return Bench.fullFront(DecisionRule.GUARDED).read(MarkerTest.FOUND).workRight();
    }

    private static String placeOf(Bench bench, FigureId figure) {
        return bench.practical().measure("camber").orElseThrow().procedure().places(List.of(figure)).stream()
                .filter(Place::eachRepeat)
                .findFirst()
                .orElseThrow()
                .id();
    }

    /** Its own rounding and that of both wheels is anybody's. */
    @Test
    void aTotalThatIsNotWorked_canBeAllThatRoundingMakesOfIt() {
        Bench bench = guarded().strike("work/totalToe.front/0/0");
        FigureId total = figure("totalToe.front");
        var sat = bench.sitting();
        Estimate standing = sat.standing(total, "judge").orElseThrow();
        var values = sat.likewise(total, "judge", standing).stream()
                .mapToDouble(e -> Math.toDegrees(e.value() - standing.value()))
                .summaryStatistics();
        assertEquals(-0.03, values.getMin(), 1e-9);
        assertEquals(0.03, values.getMax(), 1e-9);
    }

    /** What is neither read nor written is missing, and no equal split is made up for it. */
    @Test
    void whatIsNeitherReadNorWritten_isMissing() {
        Bench bench = strike(flawless(), "hubGap.rl");
        for (String figure : List.of("toe.front.left", "toe.front.right", "totalToe.front")) {
            bench.strike("work/" + figure + "/0/0");
        }
        assertEquals(
                3, bench.evidence("judge.verdict", Evidence.MissingEntry.class).size());
    }
}
