package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.TURN;
import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.Vehicles.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.MarkLine.Status;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Way;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Grade;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.task.Scheme;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What earns marks, on a van whose caster can't be adjusted, whose camber slots and rods can. */
class MarkerTest {

    /** Camber 0.4 too far out on the left and 0.2 on the right, toe-in 0.30 and 0.10; caster as it should be. */
    static final Truth FOUND = state(3.5, 0.0, -0.2, 0.30, 0.10);

    private static final Truth GOOD = state(3.5, -0.4, -0.4, -0.04, -0.04);

    static Truth state(double caster, double camberLeft, double camberRight, double left, double right) {
        return truth(
                "caster.front.left", caster,
                "caster.front.right", caster,
                "kpi.front.left", 12.5,
                "kpi.front.right", 12.5,
                "camber.front.left", camberLeft,
                "camber.front.right", camberRight,
                "toe.front.left", left,
                "toe.front.right", right);
    }

    static Bench read() {
        return Bench.fullFront(DecisionRule.SIMPLE).read(FOUND).reference(FOUND);
    }

    /** Everything as it should be. */
    private static Bench flawless() {
        Bench bench = read().workRight().leftAt(GOOD).leftAgainAt(GOOD);
        for (Checklist list : bench.practical().of(Checklist.class).toList()) {
            list.items().forEach(i -> bench.write(list.id() + "/" + i.id() + "/0/0", "done"));
        }
        Map.of("caster.front", "no", "camber.front", "yes", "toe.front", "yes")
                .forEach((a, said) -> bench.write("judge/adjustable." + a + "/0/0", said));
        bench.evidence("judge.verdict", Evidence.Missing.class).stream()
                .map(Evidence.Missing::of)
                .forEach(f -> bench.write("judge/" + f + "/0/0", "tooClose"));
        bench.evidence("judge.verdict", Evidence.Judged.class)
                .forEach(j -> bench.write(
                        "judge/" + j.figure().key() + "/0/0",
                        j.right().iterator().next().key()));
        return plan(bench);
    }

    private static Bench plan(Bench bench) {
        for (String part : List.of("topSlot.front.left", "topSlot.front.right", "rod.front.left", "rod.front.right")) {
            bench.write("adjust/" + part + ".way/0/1", part.startsWith("rod") ? "shorten" : "inward");
        }
        bench.readInRound("toeAgain", 1, GOOD);
        bench.write("plan/part.caster.front/0/0", "nothing");
        bench.write("plan/topSlot.front.left.way/0/0", "inward");
        bench.write("plan/topSlot.front.left.amount/0/0", "4");
        bench.write("plan/topSlot.front.right.way/0/0", "inward");
        rod(bench, "left", (-0.04 - 0.30) / TURN);
        rod(bench, "right", (-0.04 - 0.10) / TURN);
        return bench;
    }

    private static void rod(Bench bench, String side, double turns) {
        String line = "plan/rod.front." + side;
        bench.write(line + ".way/0/0", turns < 0 ? "shorten" : "lengthen");
        bench.write(line + ".amount/0/0", String.format(Locale.ROOT, "%.2f", Math.abs(turns)));
    }

    @Test
    void aFlawlessSheet_hasFullMarks_withEvidenceOnEveryLine() {
        MarkSheet sheet = flawless().mark();
        sheet.lines()
                .forEach(
                        l -> assertEquals(Status.FULL, l.status(), l.criterion().key() + l.evidence()));
        assertEquals(BigDecimal.valueOf(sheet.available()).setScale(1), sheet.total());
        assertEquals(new BigDecimal("100.0"), sheet.percent());
        assertTrue(sheet.competent() && sheet.complete() && sheet.redo().isEmpty());
        sheet.lines().forEach(l -> assertFalse(l.evidence().isEmpty()));
    }

    @Test
    void anEmptySheet_saysWhatIsMissing_onEveryLine() {
        MarkSheet sheet = Bench.fullFront(DecisionRule.SIMPLE).mark();
        assertEquals(new BigDecimal("0.0"), sheet.total());
        assertFalse(sheet.competent() || sheet.complete());
        sheet.lines().forEach(l -> {
            assertFalse(l.evidence().isEmpty(), l.criterion().key());
            boolean list = l.evidence().get(0) instanceof Evidence.Item;
            assertEquals(
                    list ? Status.NONE : Status.WAITING,
                    l.status(),
                    l.criterion().key());
        });
        assertEquals(sheet.lines().size(), sheet.redo().size());
    }

    @ParameterizedTest
    @CsvSource({
        "toe.reading,REFERENCE",
        "adjust.asLeft,AS_LEFT_REFERENCE",
        "work.working,WORKING",
        "judge.verdict,WORKING",
    })
    void whatIsNotThere_isNamed(String criterion, Evidence.Lack lack) {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).read(FOUND);
        assertEquals(
                lack, bench.evidence(criterion, Evidence.Missing.class).get(0).what());
    }

    @Test
    void oneRepeat_isNoRepeatability() {
        Bench bench = read();
        for (String place : List.of("fl.gauge", "fr.gauge")) {
            bench.strike("camber/" + place + "/2/0");
        }
        assertEquals(
                Evidence.Lack.REPEATS,
                bench.evidence("camber.repeatability", Evidence.Missing.class)
                        .get(0)
                        .what());
    }

    // ---- safety

    @Test
    void aSafetyCriticalItemLeftOut_isNotCompetent_whateverTheTotal() {
        Bench bench = flawless().strike("prepare/standsAndChocks/0/0");
        assertFalse(bench.mark().competent());
        MarkLine critical = bench.line("prepare.critical");
        assertTrue(critical.mustPass());
        assertEquals(Status.PART, critical.status());
        assertEquals(new BigDecimal("5.0"), critical.marks());
        assertEquals(Status.FULL, bench.line("prepare.done").status());
        bench.write("prepare/standsAndChocks/0/0", "done").strike("prepare/condition/0/0");
        assertTrue(bench.mark().competent());
        assertEquals(Status.PART, bench.line("prepare.done").status());
    }

    @Test
    void aSafetyCriticalItem_needsNoMarks_toBarCompetence() {
        Bench bench = flawless();
        List<Criterion> marked = bench.practical().scheme().criteria().stream()
                .filter(c -> c.id().aspect() != Aspect.CRITICAL)
                .toList();
        Bench unmarked = bench.marked(new Scheme(marked, 0));
        assertTrue(unmarked.mark().competent());
        assertEquals(bench.mark().lines().size(), unmarked.mark().lines().size());
        assertEquals(0, unmarked.line("prepare.critical").available());
        assertFalse(unmarked.strike("prepare/standsAndChocks/0/0").mark().competent());
        var optional = new Criterion(new Criterion.Id("prepare", Aspect.CRITICAL), 10, false, Map.of());
        assertTrue(bench.marked(new Scheme(List.of(optional), 0))
                .line("prepare.critical")
                .mustPass());
    }

    // ---- reading

    private static Evidence.Reading camber(Bench bench) {
        return bench.evidence("camber.reading", Evidence.Reading.class).get(0);
    }

    /** Twice the doubt of the difference: half of the promise is the task's own, the rest is the reference's as it was taken. */
    @Test
    void aPoorReference_widensAUsualBand_andATypedOneStands() {
        Evidence.Reading promised = camber(read());
        assertFalse(promised.widened());
        assertEquals(promised.promised(), promised.band().full(), 0.02 * promised.promised());
        Bench poor = Bench.fullFront(DecisionRule.SIMPLE).read(FOUND).referenceOnce(FOUND);
        Evidence.Reading widened = camber(poor);
        assertTrue(widened.widened());
        double task = widened.promised() / (2 * Math.sqrt(2));
        assertEquals(
                2 * Math.hypot(task, widened.reference().doubt()),
                widened.band().full(),
                1e-9);
        assertEquals(3, widened.band().none() / widened.band().full(), 1e-9);
        var typed = poor.practical().scheme().criteria().stream()
                .map(c -> {
                    Map<FigureId, Band> bands = new LinkedHashMap<>();
                    c.bands().forEach((figure, band) -> bands.put(figure, new Band(band.full(), band.none())));
                    return new Criterion(c.id(), c.marks(), c.mustPass(), bands);
                })
                .toList();
        assertFalse(camber(poor.marked(new Scheme(typed, 0))).widened());
    }

    @Test
    void repeatsThatWereNotTaken_costTheirShare_andAreNamed() {
        Bench bench = read();
        bench.practical()
                .measure("camber")
                .orElseThrow()
                .procedure()
                .walk()
                .forEach(place -> bench.strike("camber/" + place.id() + "/2/0"));
        Evidence.Reading reading = camber(bench);
        assertEquals(0.5, reading.credit());
        assertEquals(1, reading.taken());
        assertEquals(2, reading.asked());
        assertFalse(reading.off(), "what was read is right, and no slip is looked for");
        assertEquals(1, camber(read()).credit());
    }

    @ParameterizedTest
    @CsvSource({"0.0,1", "1.0,1", "2.0,0.5", "3.0,0", "9.0,0"})
    void readings_loseStraightly_betweenTheBandsEnds(double bands, double credit) {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).reference(FOUND).read(FOUND);
        var id = figure("camber.front.left");
        double full = bench.evidence("camber.reading", Evidence.Reading.class).stream()
                .filter(e -> e.figure().equals(id))
                .findFirst()
                .orElseThrow()
                .band()
                .full();
        bench.read(state(3.5, -Math.toDegrees(full * bands), -0.2, 0.3, 0.1));
        var line = bench.evidence("camber.reading", Evidence.Reading.class).stream()
                .filter(e -> e.figure().equals(id))
                .findFirst()
                .orElseThrow();
        assertEquals(credit, line.credit(), 2e-3);
        assertEquals(-full * bands, line.difference(), 1e-5);
        assertTrue(line.doubtFrom().isPresent()
                && line.own().doubt() > 0
                && line.reference().doubt() > 0);
    }

    @Test
    void sidesTakenForOneAnother_areNamed_onTheReadingItself() {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).reference(FOUND).read(state(3.5, -0.2, 0.0, 0.10, 0.30));
        Set<String> slips = bench.evidence("toe.reading", Evidence.Reading.class).stream()
                .filter(e -> e.figure().equals(figure("toe.front.left")))
                .flatMap(e -> e.slips().stream())
                .flatMap(Set::stream)
                .collect(Collectors.toSet());
        assertEquals(Set.of("leftRightSwapped"), slips);
    }

    @Test
    void repeats_loseByTheirRange() {
        Bench bench = read();
        var before = bench.evidence("toe.repeatability", Evidence.Repeats.class).get(0);
        assertEquals(0, before.range(), 1e-9);
        assertEquals(1, before.credit());
        bench.write("toe/wheels.fl.frontGap/2/0", "90");
        var after = bench.evidence("toe.repeatability", Evidence.Repeats.class).get(0);
        assertEquals(0, after.credit());
        assertEquals(2, after.each().size());
        assertTrue(after.range() > 3 * after.band().full());
    }

    // ---- judging

    @ParameterizedTest
    @EnumSource(Zone.class)
    void verdicts_followTheZone_andTheRule(Zone zone) {
        var guarded = VerdictMarker.right(zone, DecisionRule.GUARDED);
        var simple = VerdictMarker.right(zone, DecisionRule.SIMPLE);
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

    private static Evidence.Judged judged(Bench bench, String figure) {
        return bench.evidence("judge.verdict", Evidence.Judged.class).stream()
                .filter(e -> e.figure().equals(figure(figure)))
                .findFirst()
                .orElseThrow();
    }

    // ---- planning

    private static Evidence.Effect effect(Bench bench, String figure) {
        return bench.evidence("plan.plan", Evidence.Effect.class).stream()
                .filter(e -> e.figure().equals(figure(figure)))
                .findFirst()
                .orElseThrow();
    }

    private static Set<Set<String>> named(Bench bench, String figure) {
        return Set.copyOf(effect(bench, figure).slips());
    }

    /** At 0.30, with -0.11 to 0.03 allowed and -0.04 preferred: 0.54 turns shorter is right, and a quarter of the tolerance about it. */
    @ParameterizedTest
    @CsvSource({
        "shorten,0.54,-0.04,1",
        "shorten,0.49,-0.01,1",
        "shorten,0.45,0.016,0.5",
        "shorten,0.40,0.05,0",
        "shorten,0.64,-0.104,0.5",
        "shorten,2,-0.96,0",
        "lengthen,0.54,0.64,0",
        "leave,,0.30,0",
    })
    void aPlan_isMarkedByWhereItWouldLeaveTheFigure(String way, String amount, double after, double credit) {
        Bench bench = flawless().write("plan/rod.front.left.way/0/0", way);
        bench.strike("plan/rod.front.left.amount/0/0");
        if (amount != null) {
            bench.write("plan/rod.front.left.amount/0/0", amount);
        }
        Evidence.Effect effect = effect(bench, "toe.front.left");
        assertEquals(credit, effect.credit());
        assertEquals(after, Math.toDegrees(effect.after()), 0.006);
        assertFalse(effect.splitAssumed());
    }

    /** Where the sheet allows less than a step of the part, the nearest step is right. */
    @Test
    void theNearestStep_isFull_howeverFarItIs() {
        Bench bench = flawless().write("plan/topSlot.front.left.amount/0/0", "4");
        assertEquals(1, effect(bench, "camber.front.left").credit());
        bench.write("plan/topSlot.front.left.amount/0/0", "6");
        assertEquals(1, effect(bench, "camber.front.left").credit(), "-0.6 is within a quarter");
        bench.write("plan/topSlot.front.left.amount/0/0", "8");
        assertEquals(0.5, effect(bench, "camber.front.left").credit(), "inside at -0.8");
    }

    /** An amount too small to matter beside the part's steps is none; anything else that is outside is not left alone. */
    @ParameterizedTest
    @CsvSource({"0.20,0", "0.16,0", "0.05,0.5", "-0.03,1"})
    void leavingAWheelOutside_earnsNothing(double toe, double credit) {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .read(state(3.5, -0.4, -0.4, toe, toe))
                .workRight();
        for (String part : List.of("topSlot.front.left", "topSlot.front.right", "rod.front.left", "rod.front.right")) {
            bench.write("plan/" + part + ".way/0/0", "leave");
        }
        assertEquals(credit, effect(bench, "toe.front.left").credit());
    }

    @Test
    void slipsOfAPlan_areNamed() {
        Bench swapped = flawless();
        rod(swapped, "left", (-0.04 - 0.10) / TURN);
        rod(swapped, "right", (-0.04 - 0.30) / TURN);
        assertEquals(Set.of(Set.of("leftRightSwapped")), named(swapped, "toe.front.left"));
        assertTrue(effect(swapped, "toe.front.left").credit() < 1);
        Bench wrongWay = flawless();
        rod(wrongWay, "left", 0.34 / TURN);
        assertEquals(Set.of(Set.of("wrongWay"), Set.of("wrongLinkage")), named(wrongWay, "toe.front.left"));
        wrongWay.write("plan/topSlot.front.left.way/0/0", "outward");
        assertEquals(Set.of(Set.of("wrongWay")), named(wrongWay, "camber.front.left"));
        Bench twice = flawless();
        rod(twice, "left", 2 * (-0.04 - 0.30) / TURN);
        assertEquals(Set.of(Set.of("movedTwice")), named(twice, "toe.front.left"));
        rod(twice, "right", 2 * (-0.04 - 0.10) / TURN);
        twice.strike("work/toe.front.left/0/0").strike("work/toe.front.right/0/0");
        assertEquals(
                Set.of(Set.of("wholeOnEachSide")), named(twice, "totalToe.front"), "where only the total is known");
        assertTrue(effect(twice, "totalToe.front").splitAssumed());
    }

    /** The left slot has an effect in the data, the right one a way only. */
    @Test
    void wherePartsHaveNoEffectInTheData_theWayIsAll() {
        Bench bench = flawless();
        assertEquals(1, way(bench).credit());
        assertEquals(Optional.empty(), way(bench).needed());
        bench.write("plan/topSlot.front.right.way/0/0", "outward");
        assertEquals(0, way(bench).credit());
        assertEquals(Way.INWARD, way(bench).neededWay());
    }

    private static Evidence.Move way(Bench bench) {
        return bench.evidence("plan.plan", Evidence.Move.class).get(0);
    }

    @Test
    void whereNothingCanBeMoved_onlyAFigureOutside_asksForThePart() {
        Bench inside = flawless();
        assertEquals(1, noMove(inside));
        inside.write("plan/part.caster.front/0/0", "lookForThePart");
        assertEquals(0, noMove(inside));
        Bench outside =
                Bench.fullFront(DecisionRule.SIMPLE).read(state(6, 0, 0, 0, 0)).workRight();
        outside.write("plan/part.caster.front/0/0", "lookForThePart");
        assertEquals(1, noMove(outside));
        outside.write("plan/part.caster.front/0/0", "nothing");
        assertEquals(0, noMove(outside));
    }

    private static double noMove(Bench bench) {
        return bench.evidence("plan.plan", Evidence.NoMove.class).get(0).credit();
    }

    @Test
    void leavingWhatIsInside_isRight() {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .read(state(3.5, -0.4, -0.4, -0.02, -0.06))
                .workRight();
        for (String part : List.of("topSlot.front.left", "topSlot.front.right", "rod.front.left", "rod.front.right")) {
            bench.write("plan/" + part + ".way/0/0", "leave");
            bench.write("plan/part.caster.front/0/0", "nothing");
        }
        for (String figure : List.of("camber.front.left", "toe.front.left", "toe.front.right")) {
            assertEquals(1, effect(bench, figure).credit(), figure);
        }
    }

    // ---- as left

    @Test
    void theVehicleAsLeft_isJudgedByTheReference() {
        assertEquals(Status.FULL, flawless().line("adjust.asLeft").status());
        Bench bench =
                flawless().leftAt(state(3.5, -0.4, -0.4, 0.40, 0.40)).leftAgainAt(state(3.5, -0.4, -0.4, 0.40, 0.40));
        var left = bench.evidence("adjust.asLeft", Evidence.AsLeft.class);
        assertTrue(left.stream().anyMatch(e -> e.zone() == Zone.OUTSIDE && !e.accepted()));
        assertTrue(bench.line("adjust.asLeft").mustPass());
        assertFalse(bench.mark().competent());
    }

    /** The strings tell a wheel's toe to about a tenth of a degree, with -0.11 to 0.03 allowed. */
    @ParameterizedTest
    @CsvSource({
        "-0.04,,WAITING,false",
        "-0.04,-0.04,FULL,true",
        "0.06,-0.02,FULL,true",
        "0.06,0.04,PART,false",
        "0.30,,PART,false",
        "0.30,0.28,PART,false",
    })
    void asLeftInDoubt_isReadOnceMore_andBothDecide(double first, @Nullable Double second, Status status, boolean met) {
        Bench bench = read().leftAt(state(3.5, -0.4, -0.4, first, -0.04));
        if (second != null) {
            bench.leftAgainAt(state(3.5, -0.4, -0.4, second, -0.04));
        } else if (status != Status.WAITING) {
            // certainly outside needs no second look at that wheel; the others are still asked for
            assertEquals(
                    Zone.OUTSIDE,
                    bench.evidence("adjust.asLeft", Evidence.AsLeft.class).stream()
                            .filter(e -> e.figure().equals(figure("toe.front.left")))
                            .findFirst()
                            .orElseThrow()
                            .zone());
            return;
        }
        assertEquals(status, bench.line("adjust.asLeft").status());
        assertEquals(met, bench.line("adjust.asLeft").met());
        assertEquals(
                status != Status.WAITING,
                bench.evidence("adjust.asLeft", Evidence.AsLeft.class).stream().anyMatch(Evidence.AsLeft::again));
    }

    /** What is left inside on both sides can still differ by too much. */
    @Test
    void theDifferenceOfTheSides_isPartOfWhatIsLeft() {
        Bench bench =
                read().leftAt(state(3.5, -0.85, 0.05, -0.04, -0.04)).leftAgainAt(state(3.5, -0.85, 0.05, -0.04, -0.04));
        var difference = bench.evidence("adjust.asLeft", Evidence.AsLeft.class).stream()
                .filter(e -> e.figure().equals(figure("camberDifference.front")))
                .findFirst()
                .orElseThrow();
        assertEquals(Zone.OUTSIDE, difference.zone());
        assertFalse(difference.accepted());
    }

    // ---- the sheet

    /** The share of the marks decides the grade; nobody passes without what has to be passed. */
    @ParameterizedTest
    @CsvSource({"100,Distinction", "80,Distinction", "79.9,Merit", "50,Pass", "49.9,", "0,"})
    void theGrade_isTheHighestReached(double percent, @Nullable String grade) {
        var grades = List.of(new Grade("Pass", 50), new Grade("Merit", 65), new Grade("Distinction", 80));
        MarkSheet sheet = flawless().mark();
        BigDecimal marks = BigDecimal.valueOf(percent * sheet.available() / 100);
        Map<Criterion.Id, MarkLine.Override> overrides = new LinkedHashMap<>();
        sheet.lines().forEach(l -> overrides.put(l.criterion(), new MarkLine.Override(BigDecimal.ZERO, "none")));
        Criterion.Id first = sheet.lines().get(0).criterion();
        overrides.put(first, new MarkLine.Override(marks, "all of it here"));
        MarkSheet graded = new MarkSheet(sheet.with(overrides).lines().stream()
                .map(l -> new MarkLine(
                        l.criterion(), l.available(), false, l.credit(), l.computed(), l.evidence(), l.override()))
                .toList());
        assertEquals(Optional.ofNullable(grade), graded.grade(grades).map(Grade::name));
        assertEquals(Optional.empty(), sheet.with(overrides).grade(grades), "as left has to be passed");
        assertEquals(Optional.empty(), graded.grade(List.of()));
    }

    @Test
    void anOverride_standsInPlaceOfTheComputedMark() {
        MarkSheet sheet = flawless().mark();
        var working = Criterion.Id.parse("work.working").orElseThrow();
        MarkSheet with = sheet.with(Map.of(working, new MarkLine.Override(new BigDecimal("7.5"), "seen")));
        assertEquals(sheet.total().subtract(new BigDecimal("12.5")), with.total());
        assertEquals(List.of(working), with.redo());
        assertEquals(
                Status.PART,
                with.lines().stream()
                        .filter(l -> l.criterion().equals(working))
                        .findFirst()
                        .orElseThrow()
                        .status());
    }

    /** The same entries in another order are the same mark sheet. */
    @Test
    void marking_isAFunctionOfWhatStands() {
        assertEquals(flawless().mark(), flawless().mark());
        assertEquals(flawless().mark().toString(), flawless().mark().toString());
    }

    @Test
    void readingsNearerTheReference_neverScoreLess() {
        List<Double> credits = new ArrayList<>();
        for (int i = 0; i <= 40; i++) {
            Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                    .reference(FOUND)
                    .read(state(3.5, i * 0.05, -0.2, 0.30 + i * 0.01, 0.10));
            credits.add(bench.line("camber.reading").credit()
                    + bench.line("toe.reading").credit());
        }
        for (int i = 1; i < credits.size(); i++) {
            assertTrue(credits.get(i) <= credits.get(i - 1) + 1e-9, "step " + i);
        }
        assertTrue(credits.get(40) < credits.get(0));
    }
}
