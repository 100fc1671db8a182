package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.marking.MarkerTest.flawless;
import static app.galdrin.core.marking.MarkerTest.read;
import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.task.Practical;
import app.galdrin.core.uncertainty.Estimate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is said of each figure, on the van of {@link MarkerTest}. */
class VerdictMarkerTest {
    @ParameterizedTest
    @EnumSource(Zone.class)
    void verdicts_followTheZone_andTheRule(Zone zone) {
        var guarded = Judge.right(zone, DecisionRule.GUARDED);
        var simple = Judge.right(zone, DecisionRule.SIMPLE);
        switch (zone) {
            case INSIDE ->
                assertEquals(List.of(Set.of(Verdict.INSIDE), Set.of(Verdict.INSIDE)), List.of(guarded, simple));
            case OUTSIDE ->
                assertEquals(List.of(Set.of(Verdict.OUTSIDE), Set.of(Verdict.OUTSIDE)), List.of(guarded, simple));
            case DOUBT_INSIDE ->
                assertEquals(
                        List.of(Set.of(Verdict.TOO_CLOSE), EnumSet.of(Verdict.INSIDE, Verdict.TOO_CLOSE)),
                        List.of(guarded, simple));
            case DOUBT_OUTSIDE ->
                assertEquals(
                        List.of(Set.of(Verdict.TOO_CLOSE), EnumSet.of(Verdict.OUTSIDE, Verdict.TOO_CLOSE)),
                        List.of(guarded, simple));
        }
    }

    /** Judged on what he worked, not on what would have been right: one slip is not paid for twice. */
    @Test
    void verdict_followsTheFigureHeWorked() {
        Bench bench = read().workRight();
        bench.write("judge/camber.front.left/0/0", "inside");
        assertEquals(1, judged(bench, "camber.front.left").credit(), "0.0 of -0.9 to 0.1 is in doubt, inside");
        bench.write("work/camber.front.left/0/0", "2.00");
        assertEquals(0, judged(bench, "camber.front.left").credit());
        bench.write("judge/camber.front.left/0/0", "outside");
        assertEquals(1, judged(bench, "camber.front.left").credit());
        assertEquals(Math.toRadians(2), judged(bench, "camber.front.left").own().value(), 1e-9);
        bench.write("judge/adjustable.caster.front/0/0", "yes");
        var adjustable =
                bench.evidence("judge.verdict", Evidence.CanBeAdjusted.class).get(0);
        assertEquals(0, adjustable.credit());
        bench.write("judge/adjustable.caster.front/0/0", "no");
        assertEquals(
                1,
                bench.evidence("judge.verdict", Evidence.CanBeAdjusted.class)
                        .get(0)
                        .credit());
    }

    /** Whether it can be adjusted is a tenth of the line; what is certainly outside and called inside is not met by the rest. */
    @Test
    void aVerdict_isNotMet_whereWhatIsOutsideWasCalledInside() {
        Bench bench = flawless();
        Map.of("caster.front", "yes", "camber.front", "no", "toe.front", "no")
                .forEach((a, said) -> bench.write("judge/adjustable." + a + "/0/0", said));
        assertEquals(0.9, bench.line("judge.verdict").credit(), 1e-12);
        bench.strike("judge/adjustable.toe.front/0/0");
        assertEquals(0.9, bench.line("judge.verdict").credit(), 1e-12);
        assertTrue(bench.line("judge.verdict").met());
        bench.write("work/toe.front.left/0/0", "3.00").write("judge/toe.front.left/0/0", "inside");
        assertTrue(bench.line("judge.verdict").credit() > 0.5);
        assertFalse(bench.line("judge.verdict").met());
        bench.write("judge/toe.front.left/0/0", "tooClose");
        assertTrue(bench.line("judge.verdict").met(), "wrong too, but not dangerous");
    }

    private static Evidence.JudgedFigure judged(Bench bench, String figure) {
        return bench.evidence("judge.verdict", Evidence.JudgedFigure.class).stream()
                .filter(e -> e.figure().equals(figure(figure)))
                .findFirst()
                .orElseThrow();
    }

    // ---- slips in reading the sheet

    /** Camber may be -0.9 to 0.1 and toe -0.11 to 0.03 a wheel: with the minus lost, 0.1 to 0.9 and 0.03 to 0.11. */
    @Test
    void aSlipInReadingLimits_hasToGiveEveryVerdict() {
        Bench bench = flawless();
        bench.evidence("judge.verdict", Evidence.JudgedFigure.class)
                .forEach(j -> bench.write("judge/" + j.figure().key() + "/0/0", "outside"));
        var swapped = bench.evidence("judge.verdict", Evidence.JudgedFigure.class).stream()
                .filter(j -> j.credit() < 1)
                .toList();
        assertTrue(swapped.size() > 2);
        swapped.forEach(j -> assertEquals(List.of(Set.of("limitsSwapped")), j.slips()));
        swapped.forEach(j -> assertFalse(j.possible()));
        Bench one = flawless();
        one.write("judge/caster.front.left/0/0", "outside");
        assertEquals(List.of(), judged(one, "caster.front.left").slips(), "the others were called inside");
    }

    @Test
    void aLostSign_isNamed_whereItGivesTwoWrongVerdicts_andIsPossibleForOne() {
        Truth state = state(3.5, 0.5, 0.5, -0.04, -0.04);
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).read(state).workRight();
        var all = bench.practical().of(Judge.class).findFirst().orElseThrow();
        var sheet = bench.assignment.sheet();
        all.figures().forEach(f -> bench.write("judge/" + f.key() + "/0/0", "outside"));
        bench.evidence("judge.verdict", Evidence.JudgedFigure.class).forEach(j -> {
            var scale = bench.assignment.scale(j.figure());
            var value = new Estimate(j.own().value(), j.own().doubt());
            var zone = new LimitSlip.SignLost()
                    .seen(j.figure(), value, sheet.limits(j.figure()).orElseThrow(), scale);
            var said = zone.map(z -> Judge.right(z, j.rule())).orElse(j.right());
            bench.write(
                    "judge/" + j.figure().key() + "/0/0", said.iterator().next().key());
        });
        var left = judged(bench, "camber.front.left");
        assertEquals(Verdict.INSIDE, left.said(), "0.5 between 0.1 and 0.9");
        assertEquals(List.of(Set.of("limitSignLost")), left.slips());
        assertFalse(left.possible());
        assertEquals(List.of(), judged(bench, "caster.front.left").slips(), "its limits have no sign to lose");
    }

    /** Camber may differ by 0.75 from side to side. */
    @Test
    void theDifferenceOfTheSides_isJudged_byHisOwnWheels() {
        var difference = figure("camberDifference.front");
        Bench bench = read().workRight();
        assertTrue(bench.practical().of(Judge.class).allMatch(j -> j.figures().contains(difference)));
        bench.write("judge/camberDifference.front/0/0", "inside");
        assertEquals(
                0.2,
                Math.toDegrees(judged(bench, "camberDifference.front").own().value()),
                0.011);
        bench.write("work/camber.front.left/0/0", "2.00").write("work/camber.front.right/0/0", "-0.50");
        var wide = judged(bench, "camberDifference.front");
        assertEquals(2.5, Math.toDegrees(wide.own().value()), 1e-9);
        assertEquals(Zone.OUTSIDE, wide.zone());
        bench.strike("work/camber.front.right/0/0");
        var byReadings = judged(bench, "camberDifference.front");
        assertEquals(
                0.2,
                Math.toDegrees(byReadings.own().value()),
                0.03,
                "where a wheel was not worked, his readings stand");
    }

    /** +0.05 and −0.75 are inside, and 0.8 apart where 0.75 are allowed; a task that names the wheels alone asks for it all the same. */
    @Test
    void theDifference_isPartOfTheVerdict_whereverTheSheetLimitsIt() {
        var difference = figure("camberDifference.front");
        Practical named = read().practical();
        Practical wheels = named.with(named.steps().stream()
                .map(s -> s instanceof Judge j
                        ? new Judge(
                                j.id(),
                                j.figures().stream()
                                        .filter(f -> !f.equals(difference))
                                        .toList())
                        : s)
                .toList());
        Bench bench = Bench.of(wheels, Vehicles.van()).read(MarkerTest.FOUND);
        bench.write("work/camber.front.left/0/0", "0.30").write("work/camber.front.right/0/0", "-0.75");
        bench.write("judge/camber.front.left/0/0", "outside").write("judge/camber.front.right/0/0", "inside");
        assertTrue(
                bench.evidence("judge.verdict", Evidence.MissingEntry.class).stream()
                        .anyMatch(m -> m.subject().equals(difference.key())),
                "it is certainly too much, and not a word was said of it");
        bench.write("judge/camberDifference.front/0/0", "inside");
        assertEquals(0, judged(bench, "camberDifference.front").credit());
        bench.write("judge/camberDifference.front/0/0", "outside");
        assertEquals(1, judged(bench, "camberDifference.front").credit());
        bench.strike("judge/camberDifference.front/0/0");
        bench.write("work/camber.front.left/0/0", "-0.70");
        assertTrue(
                bench.evidence("judge.verdict", Evidence.class).stream()
                        .noneMatch(e -> e instanceof Evidence.MissingEntry m
                                        && m.subject().equals(difference.key())
                                || e instanceof Evidence.JudgedFigure j
                                        && j.figure().equals(difference)),
                "and where it is inside, a sheet from before loses nothing");
    }
}
