package app.galdrin.core.simulated;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.marking.Drills;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.TryOut.Kind;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** People who do a sheet by themselves, on the van. */
class SimulatedTest {

    private static final Assignment FULL = new Assignment(
            TaskStart.FULL_FRONT.on(Vehicles.van(), "Full", OrderSchool.A, AnswerUnit.DEGREES),
            Vehicles.van(),
            new BayFloor(1, Math.toRadians(0.3), Math.toRadians(-0.3), Math.toRadians(0.02)));

    private static final FigureId TOTAL = FigureId.parse("totalToe.front").orElseThrow();

    /** Far enough from what the sheet prefers for every slip to show. */
    private static final Truth FOUND = Vehicles.truth(
            "caster.front.left",
            3.1,
            "caster.front.right",
            3.9,
            "kpi.front.left",
            12.5,
            "kpi.front.right",
            12.5,
            "camber.front.left",
            0.45,
            "camber.front.right",
            -0.6,
            "toe.front.left",
            0.31,
            "toe.front.right",
            -0.12);

    private static MarkSheet done(Habit habit) {
        var random = new SplittableRandom(4);
        var paper = new Paper(new Sheet(FULL));
        var apprentice = new Apprentice(FULL, paper, () -> new HonestHands(0.5, random));
        StepWriters.writeAll(apprentice, habit, FOUND, FOUND);
        var reference = new Paper(new Sheet(FULL));
        var hands = new Apprentice(FULL, reference, () -> new HonestHands(0.5, random));
        FULL.practical().steps().stream()
                .filter(s -> s instanceof Measure)
                .forEach(s -> hands.read((Measure) s, 0, FOUND, 2));
        return Marker.mark(FULL, paper.answers(), new References(reference.answers(), Answers.none()));
    }

    private static Set<String> named(MarkSheet sheet) {
        return sheet.lines().stream()
                .flatMap(l -> l.evidence().stream())
                .flatMap(e -> e instanceof WorkingEvidence w && !w.possible()
                        ? w.slips().stream()
                        : e instanceof ReadingEvidence r
                                ? r.slips().stream()
                                : e instanceof Evidence.JudgedFigure j
                                        ? j.slips().stream()
                                        : e instanceof Evidence.Effect f
                                                ? f.slips().stream()
                                                : List.<Set<String>>of().stream())
                .flatMap(Set::stream)
                .collect(Collectors.toSet());
    }

    @Test
    void theCareful_loseNothing_butWhatTheGaugeTakes() {
        MarkSheet sheet = done(Habit.CAREFUL);
        assertEquals(Set.of(), named(sheet));
        for (String line : List.of(
                "prepare.critical", "prepare.done", "work.working", "judge.verdict", "plan.plan", "closing.critical")) {
            assertEquals(1, credit(sheet, line), line);
        }
    }

    private static double credit(MarkSheet sheet, String line) {
        return sheet.lines().stream()
                .filter(l -> l.criterion().key().equals(line))
                .findFirst()
                .orElseThrow()
                .credit();
    }

    @ParameterizedTest
    @CsvSource({
        "toe,methodSign",
        "toe,leftRightSwapped",
        "toe,mmForDegrees",
        "camber,leftRightSwapped",
        "caster,factorForgotten",
        "caster,camberSignsLost",
    })
    void aSlipInTheWorking_isMadeSoThatTheMarkerNamesIt(String measure, String slip) {
        MarkSheet sheet = done(Habit.working(Map.of(measure, slip)));
        assertTrue(named(sheet).contains(slip), slip + " " + named(sheet));
        assertTrue(credit(sheet, "work.working") < 1);
        assertTrue(Drills.against(slip).isPresent());
    }

    @Test
    void otherSlips_areMadeWhereTheyBelong() {
        assertTrue(
                named(done(Habit.CAREFUL.andReading("toe", "leftRightSwapped"))).contains("leftRightSwapped"));
        assertTrue(named(done(Habit.CAREFUL.andPlan("wrongWay"))).contains("wrongWay"));
        Set<String> linkage = named(done(Habit.CAREFUL.andPlan("wrongLinkage")));
        assertTrue(linkage.contains("wrongLinkage") && !linkage.contains("limitsSwapped"), linkage.toString());
        Habit totalOnly = Habit.CAREFUL.without("toe.front.left", "toe.front.right");
        assertFalse(named(done(totalOnly)).contains("wholeOnEachSide"));
        assertTrue(named(done(totalOnly.andPlan("wholeOnEachSide"))).contains("wholeOnEachSide"));
        assertTrue(named(done(Habit.CAREFUL.andVerdict("limitsSwapped"))).contains("limitsSwapped"));
        assertTrue(credit(done(Habit.CAREFUL.without("standsAndChocks")), "prepare.critical") < 1);
    }

    // ---- asked once more

    @Test
    void aSecondQuestion_isTheSameForItsSeed_andMarkedAsTheFirstWas() {
        SecondQuestion question = SecondQuestion.of(FULL, TOTAL, 9).orElseThrow();
        assertEquals(
                question.readings(),
                SecondQuestion.of(FULL, TOTAL, 9).orElseThrow().readings());
        assertNotEquals(
                question.readings(),
                SecondQuestion.of(FULL, TOTAL, 10).orElseThrow().readings());
        assertEquals("toe", question.measure().id());
        double honest = judged(question, "0").honest();
        assertTrue(Math.abs(honest) > 0.02, "a question with an answer");
        assertTrue(
                judged(question, String.valueOf(Math.rint(honest * 100) / 100)).right());
        WorkingEvidence wrong = judged(question, String.valueOf(Math.rint(-honest * 100) / 100));
        assertFalse(wrong.right());
        assertFalse(question.read("soon") instanceof LineText.ParsedText);
        assertTrue(SecondQuestion.of(FULL, FigureId.parse("toe.rear.left").orElseThrow(), 1)
                .isEmpty());
    }

    private static WorkingEvidence judged(SecondQuestion question, String typed) {
        return question.judged((LineText.ParsedText) question.read(typed));
    }

    // ---- tried out

    @Test
    void threePeople_areToldApart_andTheSameSeedDoesTheSame() {
        Map<Kind, TryOut.PersonResult> tried = TryOut.of(FULL, 60, 5);
        assertEquals(tried, TryOut.of(FULL, 60, 5));
        TryOut.PersonResult careful = Objects.requireNonNull(tried.get(Kind.CAREFUL));
        TryOut.PersonResult ordinary = Objects.requireNonNull(tried.get(Kind.ORDINARY));
        TryOut.PersonResult slipProne = Objects.requireNonNull(tried.get(Kind.SLIP_PRONE));
        assertEquals(60, careful.percents().size());
        assertTrue(careful.mean() > ordinary.mean() && ordinary.mean() > slipProne.mean());
        assertTrue(careful.mean() > 90, "" + careful.mean());
        assertTrue(careful.competent() > slipProne.competent());
        assertTrue(TryOut.above(careful, slipProne) > 0.9);
        assertEquals(0.5, TryOut.above(careful, careful), 1e-12);
        assertEquals(1, TryOut.above(careful, slipProne) + TryOut.above(slipProne, careful), 1e-12);
        assertEquals(0, careful.losing(Criterion.Id.parse("work.working").orElseThrow()));
    }

    /** Full marks for a hundredth of a degree: the gauge takes them from everybody. */
    @Test
    void aBandNarrowerThanTheGauge_isSaidToBeUnfair() {
        assertEquals(
                List.of(),
                TryOut.unfairToCare(
                        Objects.requireNonNull(TryOut.of(FULL, 60, 5).get(Kind.CAREFUL)), 0.3));
        Practical p = FULL.practical();
        List<Criterion> narrow = p.scheme().criteria().stream()
                .map(c -> c.id().key().equals("toe.reading")
                        ? new Criterion(
                                c.id(),
                                c.marks(),
                                c.mustPass(),
                                c.bands().keySet().stream()
                                        .collect(Collectors.toMap(f -> f, f -> Band.from(Math.toRadians(0.01)))))
                        : c)
                .toList();
        var hard = new Assignment(p.with(new Scheme(narrow, 0)), FULL.sheet(), FULL.floor());
        TryOut.PersonResult careful =
                Objects.requireNonNull(TryOut.of(hard, 60, 5).get(Kind.CAREFUL));
        assertEquals(
                List.of(new Criterion.Id("toe", Aspect.READING)),
                TryOut.unfairToCare(careful, 0.3).stream().limit(1).toList());
    }
}
