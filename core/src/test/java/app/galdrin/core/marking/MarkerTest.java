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
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Grade;
import app.galdrin.core.task.Scheme;
import java.math.BigDecimal;
import java.util.ArrayList;
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
import org.junit.jupiter.params.provider.ValueSource;

/** What earns marks, on a van whose caster can't be adjusted, whose camber slots and rods can. */
class MarkerTest {

    private static final String GAP = "toe/wheels.fl.frontGap/2/0";

    /** Camber 0.4 too far out on the left and 0.2 on the right, toe-in 0.30 and 0.10; caster as it should be. */
    static final Truth FOUND = state(3.5, 0.0, -0.2, 0.30, 0.10);

    static final Truth GOOD = state(3.5, -0.4, -0.4, -0.04, -0.04);

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
    static Bench flawless() {
        Bench bench = read().workRight().leftAt(GOOD).leftAgainAt(GOOD);
        for (Checklist list : bench.practical().of(Checklist.class).toList()) {
            list.items().forEach(i -> bench.write(list.id() + "/" + i.id() + "/0/0", "done"));
        }
        Map.of("caster.front", "no", "camber.front", "yes", "toe.front", "yes")
                .forEach((a, said) -> bench.write("judge/adjustable." + a + "/0/0", said));
        bench.evidence("judge.verdict", Evidence.MissingEntry.class).stream()
                .map(Evidence.MissingEntry::subject)
                .forEach(f -> bench.write("judge/" + f + "/0/0", "tooClose"));
        bench.evidence("judge.verdict", Evidence.JudgedFigure.class)
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

    static void rod(Bench bench, String side, double turns) {
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
        "judge.verdict,VERDICT",
    })
    void whatIsNotThere_isNamed(String criterion, Lack lack) {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).read(FOUND);
        assertEquals(
                lack,
                bench.evidence(criterion, Evidence.MissingEntry.class).get(0).what());
    }

    @Test
    void oneRepeat_isNoRepeatability() {
        Bench bench = read();
        for (String place : List.of("fl.gauge", "fr.gauge")) {
            bench.strike("camber/" + place + "/2/0");
        }
        assertEquals(
                Lack.REPEATS,
                bench.evidence("camber.repeatability", Evidence.MissingEntry.class)
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

    private static ReadingEvidence camber(Bench bench) {
        return bench.evidence("camber.reading", ReadingEvidence.class).get(0);
    }

    /** Twice the doubt of the difference: half of the promise is the task's own, the rest is the reference's as it was taken. */
    @Test
    void aPoorReference_widensAUsualBand_andATypedOneStands() {
        ReadingEvidence promised = camber(read());
        assertFalse(promised.widened());
        assertEquals(promised.promised(), promised.band().full(), 0.02 * promised.promised());
        Bench poor = Bench.fullFront(DecisionRule.SIMPLE).read(FOUND).referenceOnce(FOUND);
        ReadingEvidence widened = camber(poor);
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
        ReadingEvidence reading = camber(bench);
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
        double full = bench.evidence("camber.reading", ReadingEvidence.class).stream()
                .filter(e -> e.figure().equals(id))
                .findFirst()
                .orElseThrow()
                .band()
                .full();
        bench.read(state(3.5, -Math.toDegrees(full * bands), -0.2, 0.3, 0.1));
        var line = bench.evidence("camber.reading", ReadingEvidence.class).stream()
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
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .reference(state(3.5, 0.0, -0.2, 0.50, 0.10))
                .read(state(3.5, -0.2, 0.0, 0.10, 0.50));
        Set<String> slips = bench.evidence("toe.reading", ReadingEvidence.class).stream()
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

    /** The range earns what its band gives for it, to the digit: just inside, between, and beyond. */
    @ParameterizedTest
    @ValueSource(doubles = {0.9, 1.2, 1.5, 1.9, 2.5})
    void aRange_earnsWhatItsBandGives(double fulls) {
        Bench bench = read();
        var calm = bench.evidence("toe.repeatability", Evidence.Repeats.class).get(0);
        LineKey line = LineKey.parse(GAP).orElseThrow();
        double gap = bench.answers().at(line).orElseThrow().value().orElseThrow();
        bench.write(GAP, String.valueOf(gap + 1));
        double perMillimetre = bench.evidence("toe.repeatability", Evidence.Repeats.class)
                .get(0)
                .range();
        bench.write(GAP, String.valueOf(gap + fulls * calm.band().full() / perMillimetre));
        var spread = bench.evidence("toe.repeatability", Evidence.Repeats.class).get(0);
        assertEquals(fulls, spread.range() / spread.band().full(), 0.01);
        assertEquals(spread.band().credit(spread.range()), spread.credit(), 1e-12);
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

    /** What is minor is a tenth beside what is not, and everything where there is nothing else. */
    @Test
    void minorPieces_weighATenthTogether() {
        var right = new Evidence.CanBeAdjusted("toe.front", Adjustable.YES, Adjustable.YES);
        var wrong = new Evidence.CanBeAdjusted("camber.front", Adjustable.YES, Adjustable.NO);
        var done = new Evidence.Item("stands", true);
        var left = new Evidence.Item("chocks", false);
        assertEquals(1, Marker.credit(List.of(right)));
        assertEquals(0.5, Marker.credit(List.of(right, wrong)));
        assertEquals(0.95, Marker.credit(List.of(done, right, wrong)), 1e-12);
        assertEquals(0.55, Marker.credit(List.of(done, left, right)), 1e-12);
        assertEquals(0.5, Marker.credit(List.of(done, left)));
        assertEquals(0, Marker.credit(List.of()));
    }
}
