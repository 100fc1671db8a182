package app.galdrin.core.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.steering.TrackRod;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.ToeAsked;
import app.galdrin.core.task.ToeTask;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class MarkerTest {

    private static final double LEFT = 0.31;
    private static final double RIGHT = 0.13;
    private static final ToeTask TASK = Sheets.strings(AnswerUnit.DEGREES, DecisionRule.SIMPLE);
    private static final List<Map<String, Double>> AS_FOUND = twice(LEFT, RIGHT);
    private static final References REFERENCES = new References(AS_FOUND, twice(-0.04, -0.04));
    private static final Set<String> ALL_STEPS =
            ToeTask.PREPARATION.stream().map(s -> s.key()).collect(Collectors.toSet());

    private static List<Map<String, Double>> twice(double left, double right) {
        var readings = Sheets.box(left, right, Instrument.PERFECT, Seeds.generator(1));
        return List.of(readings, readings);
    }

    private static Map<Asked, Written> working(double total, double left, double right) {
        return new EnumMap<>(Map.of(
                Asked.TOTAL, new Written(total, 0.01),
                Asked.LEFT, new Written(left, 0.01),
                Asked.RIGHT, new Written(right, 0.01)));
    }

    private static SittingWork.Plan plan(double left, double right) {
        return new SittingWork.Plan(new RodMove(left), new RodMove(right));
    }

    private static double turns(double from) {
        return TrackRod.of(Sheets.VAN.geometry()).turns(Math.toRadians(from), Math.toRadians(-0.04));
    }

    private static SittingWork flawless() {
        return with(working(0.44, 0.31, 0.13), plan(turns(LEFT), turns(RIGHT)), VerdictChoice.OUTSIDE);
    }

    private static SittingWork with(Map<Asked, Written> working, SittingWork.Plan plan, VerdictChoice all) {
        Map<Asked, VerdictChoice> verdicts = Map.of(Asked.TOTAL, all, Asked.LEFT, all, Asked.RIGHT, all);
        return new SittingWork(ALL_STEPS, AS_FOUND, AS_FOUND, working, verdicts, Optional.of(true), Optional.of(plan));
    }

    private static MarkLine line(MarkSheet sheet, Criterion criterion) {
        return sheet.lines().stream()
                .filter(l -> l.criterion() == criterion)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void flawlessWork_hasEveryMark() {
        MarkSheet sheet = Marker.mark(TASK, flawless(), REFERENCES);
        assertEquals(new BigDecimal("100.0"), sheet.total(), sheet.toString());
        assertTrue(sheet.competent() && sheet.complete());
        assertEquals(List.of(), sheet.redo());
        assertEquals(sheet, Marker.mark(TASK, flawless(), REFERENCES));
    }

    @Test
    void nothingWritten_givesASheetThatSaysWhatIsMissing() {
        MarkSheet sheet = Marker.mark(TASK, SittingWork.empty(), References.none());
        assertEquals(0, sheet.total().signum());
        assertFalse(sheet.complete() || sheet.competent());
        assertEquals(MarkLine.Status.WAITING, line(sheet, Criterion.PLAN).status());
        assertEquals(Criterion.values().length, sheet.lines().size());
    }

    @Test
    void aWrongReading_costsTheReadingOnly() {
        List<Map<String, Double>> misread = new ArrayList<>();
        for (Map<String, Double> repeat : AS_FOUND) {
            Map<String, Double> changed = new HashMap<>(repeat);
            changed.merge("wheels.fl.frontGap", 3.0, Double::sum);
            misread.add(changed);
        }
        var own = TASK.work(misread).get(0);
        double left = Math.toDegrees(own.left().orElseThrow().value());
        var work = new SittingWork(
                ALL_STEPS,
                misread,
                List.of(),
                working(left + RIGHT, left, RIGHT),
                flawless().verdicts(),
                Optional.of(true),
                Optional.of(plan(turns(left), turns(RIGHT))));
        MarkSheet sheet = Marker.mark(TASK, work, REFERENCES);
        assertTrue(line(sheet, Criterion.READING).computed().doubleValue() < 20);
        assertEquals(
                List.of(Criterion.READING),
                sheet.lines().stream()
                        .filter(l -> l.status() != MarkLine.Status.FULL)
                        .map(MarkLine::criterion)
                        .toList());
    }

    static List<Object[]> slips() {
        double toMm = 416;
        List<Map<String, Double>> inInches = AS_FOUND.stream()
                .map(r -> r.entrySet().stream()
                        .collect(Collectors.toMap(
                                Map.Entry::getKey,
                                e -> e.getKey().equals("stationDistance") ? e.getValue() : e.getValue() / 25.4)))
                .toList();
        double unconverted = Math.toDegrees(TASK.work(inInches).get(0).total().value());
        return List.of(
                new Object[] {Asked.TOTAL, -0.44, Set.of(Set.of(Slip.METHOD_SIGN))},
                new Object[] {Asked.LEFT, 0.13, Set.of(Set.of(Slip.LEFT_RIGHT_SWAPPED))},
                new Object[] {Asked.TOTAL, 0.22, Set.of(Set.of(Slip.ONE_WHEEL_FOR_TOTAL))},
                new Object[] {Asked.TOTAL, 0.31, Set.of(Set.of(Slip.ONE_WHEEL_FOR_TOTAL))},
                new Object[] {
                    Asked.TOTAL, 2 * toMm * Math.sin(Math.toRadians(0.22)), Set.of(Set.of(Slip.MM_FOR_DEGREES))
                },
                new Object[] {Asked.TOTAL, unconverted, Set.of(Set.of(Slip.INCHES_UNCONVERTED))},
                new Object[] {Asked.LEFT, -0.13, Set.of(Set.of(Slip.METHOD_SIGN, Slip.LEFT_RIGHT_SWAPPED))},
                new Object[] {Asked.TOTAL, 7.77, Set.of()});
    }

    @ParameterizedTest
    @MethodSource("slips")
    void aWrongFigure_isExplainedByTheSlipsThatGiveIt(Asked asked, double written, Set<Set<Slip>> expected) {
        var working = working(0.44, 0.31, 0.13);
        working.put(asked, new Written(written, 0.01));
        MarkSheet sheet = Marker.mark(TASK, with(working, plan(0, 0), VerdictChoice.INSIDE), REFERENCES);
        var evidence = line(sheet, Criterion.WORKING).evidence().stream()
                .map(e -> (Evidence.Working) e)
                .filter(e -> e.asked() == asked)
                .findFirst()
                .orElseThrow();
        assertEquals(expected, Set.copyOf(evidence.slips()));
        assertFalse(evidence.right());
    }

    @Test
    void frontAndRearSwapped_isToldFromAWrongSign_becauseTheStringsAreCrooked() {
        var swapped = new SlipFinder(TASK, AS_FOUND);
        var figures = TASK.work(AS_FOUND).get(0);
        double left = Math.toDegrees(figures.left().orElseThrow().value());
        double skew = Math.toDegrees(figures.skews().orElseThrow().left());
        double written = -(left + skew) - skew;
        assertEquals(
                List.of(Set.of(Slip.FRONT_REAR_SWAPPED)),
                swapped.explain(Asked.LEFT, v -> Math.abs(v - written) < 0.005));
    }

    @ParameterizedTest
    @CsvSource({"SIMPLE,true", "GUARDED,false"})
    void inDoubt_tooCloseIsRight_andTheSideOnlyUnderSimpleAcceptance(DecisionRule rule, boolean insideIsRight) {
        ToeTask task = Sheets.strings(AnswerUnit.DEGREES, rule);
        var readings = twice(0.025, 0.025);
        Map<Asked, VerdictChoice> verdicts = Map.of(
                Asked.TOTAL,
                VerdictChoice.TOO_CLOSE,
                Asked.LEFT,
                VerdictChoice.INSIDE,
                Asked.RIGHT,
                VerdictChoice.OUTSIDE);
        var work = new SittingWork(
                ALL_STEPS,
                readings,
                List.of(),
                working(0.05, 0.025, 0.025),
                verdicts,
                Optional.of(false),
                Optional.empty());
        var evidence = line(Marker.mark(task, work, References.none()), Criterion.VERDICT)
                .evidence();
        assertEquals(Zone.DOUBT_INSIDE, ((Evidence.Verdict) evidence.get(0)).zone());
        assertEquals(
                List.of(1.0, insideIsRight ? 1.0 : 0.0, 0.0, 0.0),
                evidence.stream().map(Evidence::credit).toList());
    }

    @Test
    void theRightMovesOnTheWrongSides_areNamedAsSwapped() {
        var work = with(working(0.44, 0.31, 0.13), plan(turns(RIGHT), turns(LEFT)), VerdictChoice.OUTSIDE);
        var evidence = line(Marker.mark(TASK, work, REFERENCES), Criterion.PLAN).evidence();
        assertEquals(Optional.of(Slip.LEFT_RIGHT_SWAPPED), ((Evidence.Rod) evidence.get(0)).slip());
    }

    @Test
    void platesPlan_sharesTheTotalEqually_andSaysSo() {
        ToeTask task = Sheets.plates();
        Map<String, Double> readings = Map.of("frontDistance", 1480.0, "rearDistance", 1484.0);
        double total = Math.toDegrees(2 * Math.asin(4.0 / 1000));
        double each = TrackRod.of(Sheets.VAN.geometry()).turns(Math.toRadians(total / 2), Math.toRadians(-0.04));
        var work = new SittingWork(
                Set.of(),
                List.of(readings, readings),
                List.of(),
                Map.of(Asked.TOTAL, new Written(total, 0.01)),
                Map.of(Asked.TOTAL, VerdictChoice.OUTSIDE),
                Optional.of(true),
                Optional.of(plan(each, each)));
        MarkSheet sheet = Marker.mark(task, work, REFERENCES);
        var rod = (Evidence.Rod) line(sheet, Criterion.PLAN).evidence().get(0);
        assertTrue(rod.splitAssumed());
        assertEquals(1, rod.credit());
        assertEquals(0, line(sheet, Criterion.CRITICAL_STEPS).credit());
        assertFalse(sheet.competent());
    }

    @Test
    void insideAlready_leavingTheRodsIsRight() {
        var readings = twice(-0.04, -0.04);
        var work = new SittingWork(
                Set.of(),
                readings,
                List.of(),
                working(-0.08, -0.04, -0.04),
                Map.of(),
                Optional.empty(),
                Optional.of(plan(0, 0)));
        MarkSheet sheet = Marker.mark(TASK, work, new References(readings, twice(0.2, 0.2)));
        assertEquals(1, line(sheet, Criterion.PLAN).credit());
        assertEquals(MarkLine.Status.NONE, line(sheet, Criterion.AS_LEFT).status());
    }

    @Test
    void anOverride_standsInForTheComputedMark() {
        MarkSheet sheet = Marker.mark(TASK, SittingWork.empty(), References.none())
                .with(Map.of(
                        Criterion.CRITICAL_STEPS, new MarkLine.Override(new BigDecimal("10"), "seen done"),
                        Criterion.PLAN, new MarkLine.Override(new BigDecimal("2"), "said it aloud")));
        assertEquals(new BigDecimal("12.0"), sheet.total().setScale(1));
        assertTrue(line(sheet, Criterion.CRITICAL_STEPS).met());
        assertEquals(MarkLine.Status.PART, line(sheet, Criterion.PLAN).status());
        assertEquals(new BigDecimal("12.0"), sheet.percent());
    }

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 50);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void readingsNearerTheReference_neverScoreLess(long seed) {
        var random = Seeds.generator(seed);
        double last = Double.POSITIVE_INFINITY;
        double off = 0;
        for (int i = 0; i < 6; i++) {
            var work = new SittingWork(
                    Set.of(),
                    twice(LEFT + off, RIGHT),
                    List.of(),
                    Map.of(),
                    Map.of(),
                    Optional.empty(),
                    Optional.empty());
            double marks = line(Marker.mark(TASK, work, REFERENCES), Criterion.READING)
                    .computed()
                    .doubleValue();
            assertTrue(marks <= last);
            last = marks;
            off += Seeds.between(random, 0, 0.1);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"DEGREES", "DEGREES_MINUTES", "MILLIMETRES"})
    void theUnitOfTheAnswer_changesNoMark(AnswerUnit unit) {
        ToeTask task = Sheets.strings(unit, DecisionRule.SIMPLE);
        Map<Asked, Written> working = new EnumMap<>(Asked.class);
        Map<Asked, Double> toes = Map.of(Asked.TOTAL, LEFT + RIGHT, Asked.LEFT, LEFT, Asked.RIGHT, RIGHT);
        toes.forEach((asked, toe) -> {
            double exact = unit.ofToe(Math.toRadians(toe), asked, task.baseline());
            working.put(asked, new Written(Math.rint(exact / unit.step()) * unit.step(), unit.step()));
        });
        var work = with(working, plan(turns(LEFT), turns(RIGHT)), VerdictChoice.OUTSIDE);
        assertEquals(
                new BigDecimal("100.0"), Marker.mark(task, work, REFERENCES).total());
    }

    @Test
    void aMethodBlindToWhatIsAsked_makesNoTask() {
        var plates = Sheets.plates();
        var refused = assertThrows(
                IllegalArgumentException.class,
                () -> new ToeTask(
                        plates.sheet(),
                        ToeAsked.TOTAL_AND_EACH,
                        plates.method(),
                        1,
                        plates.answerUnit(),
                        plates.rule(),
                        List.of(),
                        plates.scheme()));
        assertTrue(refused.getMessage().contains("can't see"));
    }
}
