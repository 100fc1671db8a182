package app.galdrin.core.task;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which step a figure is read, worked and judged in, and what a step asks and can be marked for. */
class PracticalTest {

    private static final FigureId TOTAL = figure("totalToe.front");
    private static final SpecificationSheet BARE = new SpecificationSheet(Vehicles.GEOMETRY, List.of(), List.of());

    private static Practical of(Step... steps) {
        return new Practical(
                "P",
                OrderSchool.A,
                DecisionRule.SIMPLE,
                Mode.ASSESSMENT,
                OutcomeSchool.COMPETENCE,
                Optional.empty(),
                List.of(steps),
                new Scheme(List.of(), 0));
    }

    private static Measure by(String id, String procedure, int repeats) {
        return Measure.of(id, Procedures.of(procedure), List.of(TOTAL), repeats);
    }

    private static Work working(String id, String from) {
        return new Work(id, List.of(new Work.Item(TOTAL, from, AnswerUnit.DEGREES)));
    }

    /** Two procedures for one figure: the later reading counts, unless a working names the other. */
    @Test
    void aFigure_isJudgedOnWhatItWasLastWorkedFrom() {
        Measure tapes = by("tapes", "plates", 1);
        Measure strings = by("strings", "strings", 2);
        Practical unworked = of(tapes, strings, new Judge("judge", List.of(TOTAL)), new HandIn("end"));
        assertEquals(Optional.of(strings), unworked.measuring(TOTAL, "judge"));
        assertEquals(Optional.of(tapes), unworked.measuring(TOTAL, "strings"));
        Practical worked = of(
                tapes,
                strings,
                working("first", "strings"),
                working("second", "tapes"),
                new Judge("judge", List.of(TOTAL)),
                new HandIn("end"));
        assertEquals(Optional.of(tapes), worked.measuring(TOTAL, "judge"));
        assertEquals(Optional.of(strings), worked.measuring(TOTAL, "second"));
        assertEquals("second", worked.workStep(TOTAL, "judge").orElseThrow().id());
        assertEquals(Optional.empty(), worked.workStep(figure("toe.front.left"), "judge"));
        assertEquals(Optional.empty(), worked.measureBefore("strings", "strings"));
        assertEquals(List.of(TOTAL), worked.figures(), "each once");
        assertEquals(
                List.of(figure("caster.front.left"), TOTAL),
                of(tapes, Measure.of("c", Procedures.of("sweep"), List.of(figure("caster.front.left")), 1))
                        .figures());
    }

    @Test
    void whatAStepCanBeMarkedFor() {
        assertEquals(Set.of(Aspect.READING), by("a", "plates", 1).aspects());
        assertEquals(
                Set.of(Aspect.READING, Aspect.REPEATABILITY),
                by("a", "plates", 2).aspects());
        assertEquals(Set.of(Aspect.TIME), new HandIn("end").aspects());
        assertEquals(Set.of(Aspect.DONE), new Checklist("c", List.of(new Checklist.Item("a", false, true))).aspects());
        assertEquals(Set.of(Aspect.CRITICAL, Aspect.DONE), new Checklist("c", ReadyList.PREPARATION.items()).aspects());
    }

    /** An angle has 30° of room, a length 200 mm; added parts are offered only where the sheet knows them. */
    @Test
    void linesOfWorkAndJudgement() {
        var inDegrees = (AnswerType.Amount) working("w", "m").lines(BARE).get(0).answer();
        assertEquals(-30, inDegrees.least());
        assertEquals(30, inDegrees.most());
        var inMillimetres =
                (AnswerType.Amount) new Work("w", List.of(new Work.Item(TOTAL, "m", AnswerUnit.MILLIMETRES)))
                        .lines(BARE)
                        .get(0)
                        .answer();
        assertEquals(200, inMillimetres.most());
        List<Line> judge = new Judge("j", List.of(TOTAL)).lines(Vehicles.van());
        assertEquals(
                AnswerType.Choice.of("verdict", Judge.Verdict.values()),
                judge.get(0).answer());
        assertEquals(
                AnswerType.Choice.of("adjustable", Adjustable.YES, Adjustable.NO, Adjustable.WITH_ADDED_PARTS),
                judge.get(1).answer());
    }

    /** One round alone asks nothing but its readings; of several, each says what was moved and whether another follows. */
    @ParameterizedTest
    @CsvSource({"1,0", "2,5"})
    void aRoundThatEndsByItself_asksNothingMore(int most, int lines) {
        var round = new Round("r", List.of(by("again", "plates", 2)), most);
        assertEquals(lines, round.lines(Vehicles.van()).size());
    }

    @Test
    void aRoundsMeasures_areCheckedLikeAnyOther() {
        var blind = Measure.of("again", Procedures.of("plates"), List.of(figure("toe.front.left")), 1);
        List<TaskFault> faults = of(
                        by("toe", "plates", 1),
                        new Round("r", List.of(by("x", "plates", 1), blind), 1),
                        new HandIn("end"))
                .faults();
        assertEquals("steps.1.measures.1.figures", faults.get(0).at());
        assertEquals(TaskFaultCode.NOT_SEEN, faults.get(0).reason());
    }

    @Test
    void moreLinesThanASheetCanHold_areRefused() {
        var items = IntStream.range(0, Practical.MOST_LINES + 1)
                .mapToObj(i -> new Checklist.Item("i" + i, false, false))
                .toList();
        var fault = of(new Checklist("long", items), new HandIn("end")).faults(BARE);
        assertEquals(
                List.of(TaskFaultCode.TOO_MANY),
                fault.stream().map(TaskFault::reason).toList());
        assertEquals(Practical.MOST_LINES, fault.get(0).limit());
        var most = items.subList(0, Practical.MOST_LINES);
        assertEquals(
                List.of(), of(new Checklist("long", most), new HandIn("end")).faults(BARE));
    }

    @Test
    void aFigureWorkedTwiceInOneStep_isRefused() {
        var twice = new Work(
                "w",
                List.of(
                        new Work.Item(TOTAL, "toe", AnswerUnit.DEGREES),
                        new Work.Item(TOTAL, "toe", AnswerUnit.MILLIMETRES)));
        assertEquals(
                TaskFaultCode.TWICE,
                of(by("toe", "plates", 1), twice, new HandIn("end"))
                        .faults()
                        .get(0)
                        .reason());
    }

    /** Where nothing can be adjusted nothing is planned, and no round is there to fail. */
    @Test
    void aStart_onAVehicleWithoutAdjusters() {
        Practical p = TaskStart.FULL_FRONT.on(BARE, "F", OrderSchool.A, AnswerUnit.DEGREES);
        assertEquals(0, p.of(Round.class).count() + p.of(Plan.class).count());
        assertEquals(List.of(), p.of(Judge.class).findFirst().orElseThrow().figures());
        assertTrue(p.of(Work.class).findFirst().orElseThrow().item(TOTAL).isPresent());
    }

    @Test
    void aStart_asksTheFrontAxle_andTakesWhatTellsMost() {
        Practical p = TaskStart.TOE.on(Vehicles.van(), "T", OrderSchool.A, AnswerUnit.MILLIMETRES);
        Measure toe = p.measure("toe").orElseThrow();
        assertEquals("strings", toe.procedure().key());
        assertEquals(List.of(TOTAL, figure("toe.front.left"), figure("toe.front.right")), toe.figures());
        assertEquals(
                AnswerUnit.MILLIMETRES, p.worked(TOTAL, "judge").orElseThrow().unit());
        assertEquals(
                List.of(figure("setback.front")), TaskStart.usualFigures(Procedures.of("setback"), Measurand.SETBACK));
        assertFalse(TaskStart.usualFigures(Procedures.of("inclinometer"), Measurand.CAMBER).stream()
                .anyMatch(FigureId::ofBothWheels));
    }

    @Test
    void aVehicleAsItsSheetWants_isWhatAProcedureIsExpectedToRead() {
        var truth = ExpectedUncertainty.asTheSheetWants(Vehicles.van());
        assertEquals(Math.toRadians(-0.4), truth.of(figure("camber.front.left")), 1e-12);
        assertEquals(Math.toRadians(-0.04), truth.of(figure("toe.front.right")), 1e-12);
        assertEquals(0, truth.of(figure("camber.rear.left")));
        MeasuringContext standing = Assignment.of(of(), Vehicles.van()).standing();
        Estimate once = ExpectedUncertainty.once(by("m", "plates", 3), standing).get(TOTAL);
        Estimate thrice =
                ExpectedUncertainty.asAsked(by("m", "plates", 3), standing).get(TOTAL);
        double common = once.budget()
                .standardUncertaintyOf(source -> source.name().startsWith("setUp.") || source.isOfVehicle());
        assertEquals(0.35 * 0.35, Math.pow(once.budget().parts().get("setUp.plates.front") * 500, 2), 0.001);
        assertEquals(
                Math.pow(once.standardUncertainty(), 2) - common * common,
                3 * (Math.pow(thrice.standardUncertainty(), 2) - common * common),
                1e-12,
                "repeats average what is read and not how the plates were set");
    }

    @Test
    void keysAndBands_refuseWhatTheyCanNotBe() {
        assertEquals(Optional.empty(), Criterion.Id.parse(""));
        assertEquals("", Criterion.Id.parse(".done").orElseThrow().step());
        assertEquals(0, new Band(0, 0.1).credit(0.1));
        assertEquals(1, new Band(0, 0.1).credit(0));
        assertThrows(IllegalArgumentException.class, () -> new Scheme(List.of(), -1));
        assertEquals(0, new Scheme(List.of(), 0).slipKeepsPercent());
        assertEquals(100, new Scheme(List.of(), 100).slipKeepsPercent());
    }

    /** A caster of two angles hangs on the KPI: the sheet gives it, or a third reading tells it. */
    @ParameterizedTest
    @CsvSource({
        "sweep, caster.front.left, kpi.front.left",
        "fullLock, caster.front.right, kpi.front.right",
        "fullLock, casterDifference.front, kpi.front.left kpi.front.right",
        "sweep, caster.front.left kpi.front.left, ''",
        "sweep, camber.front.left, ''",
        "strings, toe.front.left, ''",
    })
    void whatTheSheetDoesNotGive_rulesOutTheProcedureThatNeedsIt(String procedure, String figures, String lacking) {
        var asked = Stream.of(figures.split(" ")).map(Vehicles::figure).toList();
        Practical practical = of(Measure.of("m", Procedures.of(procedure), asked, 1), new HandIn("end"));
        assertEquals(
                Stream.of(lacking.split(" ")).filter(k -> !k.isEmpty()).toList(),
                practical.faults(BARE).stream()
                        .filter(f -> f.reason() == TaskFaultCode.NOT_KNOWN)
                        .map(TaskFault::value)
                        .toList());
        assertEquals(List.of(), practical.faults(Vehicles.van()));
    }

    /** The order in which figures are asked makes no other sheet; what is asked does. */
    @Test
    void theStepsOfAnother_areThose_thatAskTheSame() {
        var figures = List.of(figure("totalToe.front"), figure("toe.front.left"), figure("toe.front.right"));
        var turned = List.of(figures.get(2), figures.get(0), figures.get(1));
        Practical one = asking(figures);
        assertTrue(one.hasTheStepsOf(asking(turned)));
        assertTrue(one.titled("Another").hasTheStepsOf(one));
        assertFalse(one.hasTheStepsOf(asking(figures.subList(0, 2))));
        assertFalse(one.hasTheStepsOf(one.with(one.steps().subList(0, 3))));
    }

    private static Practical asking(List<FigureId> figures) {
        Measure strings = Measure.of("toe", Procedures.of("strings"), figures, 2);
        return of(
                strings,
                new Work(
                        "work",
                        figures.stream()
                                .map(f -> new Work.Item(f, "toe", AnswerUnit.DEGREES))
                                .toList()),
                new Judge("judge", figures),
                new Plan("plan", figures),
                new Round("adjust", List.of(strings.as("again")), 1));
    }
}
