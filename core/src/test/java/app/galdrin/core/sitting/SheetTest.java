package app.galdrin.core.sitting;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.ExpectedUncertainty;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SheetTest {

    private static final Practical FULL =
            TaskStart.FULL_FRONT.on(Vehicles.van(), "Full", OrderSchool.A, AnswerUnit.DEGREES);
    private static final Assignment ASSIGNMENT = Assignment.of(FULL, Vehicles.van());
    private static final Sheet SHEET = new Sheet(ASSIGNMENT);

    private static LineKey key(String text) {
        return LineKey.parse(text).orElseThrow();
    }

    private static Answers answers(String... keysAndTexts) {
        Map<LineKey, WrittenValue> standing = new HashMap<>();
        for (int i = 0; i < keysAndTexts.length; i += 2) {
            standing.put(key(keysAndTexts[i]), WrittenValue.text(keysAndTexts[i + 1]));
        }
        return new Answers(standing);
    }

    private static Step step(String id) {
        return FULL.step(id).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "prepare/condition/0/0,true",
        "prepare/condition/1/0,false",
        "prepare/condition/0/1,false",
        "prepare/polish/0/0,false",
        "toe/wheels.fl.frontGap/1/0,true",
        "toe/wheels.fl.frontGap/2/0,true",
        "toe/wheels.fl.frontGap/0/0,false",
        "toe/wheels.fl.frontGap/3/0,false",
        "toe/stationDistance/0/0,true",
        "toe/stationDistance/1/0,false",
        "toeAgain/wheels.fl.frontGap/1/1,true",
        "toeAgain/wheels.fl.frontGap/1/2,true",
        "toeAgain/wheels.fl.frontGap/1/0,false",
        "toeAgain/wheels.fl.frontGap/1/3,false",
        "toe/wheels.fl.frontGap/1/1,false",
        "adjust/next/0/1,true",
        "adjust/next/0/0,false",
        "adjust/rod.front.left.way/0/2,true",
        "work/totalToe.front/0/0,true",
        "work/thrust.rear/0/0,false",
        "_mark/sign/0/0,false",
        "plan/part.caster.front/0/0,true",
        "judge/adjustable.toe.front/0/0,true",
        "handIn/done/0/0,true",
        "caster/fl.ahead.camber/1/0,false"
    })
    void aSheet_knowsItsLinesAndNoOthers(String text, boolean known) {
        assertEquals(known, SHEET.line(key(text)).isPresent());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a/b/0", "a/b/x/0", "a/b/0/10", "a b/c/0/0", "1a/b/0/0", "a/b/100/0", "a//0/0"})
    void whatIsNoKey_isNone(String text) {
        assertEquals(Optional.empty(), LineKey.parse(text));
    }

    @Test
    void aKey_isItselfAgain_andAnIdWithoutDots() {
        LineKey key = new LineKey("toe", "wheels.fl.frontGap", 2, 1);
        assertEquals(key, key(key.key()));
        assertEquals("toe-wheels-fl-frontGap-2-1", key.elementId());
    }

    @Test
    void progress_countsEveryLine_andNotWhatIsNeedless() {
        assertEquals(new Sheet.Progress(0, 6), SHEET.progress(step("prepare"), Answers.none()));
        assertEquals(
                new Sheet.Progress(1, 6), SHEET.progress(step("prepare"), answers("prepare/condition/0/0", "done")));
        assertEquals(29, SHEET.progress(step("toe"), Answers.none()).total(), "14 places twice, the stations once");
        Step plan = step("plan");
        int all = SHEET.progress(plan, Answers.none()).total();
        assertEquals(
                new Sheet.Progress(1, all), SHEET.progress(plan, answers("plan/rod.front.left.way/0/0", "lengthen")));
        assertEquals(
                new Sheet.Progress(2, all),
                SHEET.progress(plan, answers("plan/rod.front.left.way/0/0", "leave")),
                "how far is needless where it is left alone");
        assertFalse(SHEET.progress(plan, Answers.none()).complete());
        assertTrue(SHEET.progress(step("handIn"), answers("handIn/done/0/0", "done"))
                .complete());
    }

    @Test
    void rounds_areBegunByTheOneBefore_upToTheMost() {
        Round round = (Round) step("adjust");
        assertEquals(1, SHEET.rounds(round, Answers.none()));
        assertEquals(1, SHEET.rounds(round, answers("adjust/next/0/1", "finished")));
        assertEquals(2, SHEET.rounds(round, answers("adjust/next/0/1", "again")));
        assertEquals(2, SHEET.rounds(round, answers("adjust/next/0/1", "again", "adjust/next/0/2", "again")));
        int one = SHEET.progress(round, Answers.none()).total();
        assertEquals(
                2 * one,
                SHEET.progress(round, answers("adjust/next/0/1", "again")).total());
        assertEquals(List.of(1, 2), SHEET.roundsOf(step("toeAgain")));
        assertEquals(List.of(0), SHEET.roundsOf(step("toe")));
        assertEquals(round, SHEET.shownIn((Measure) step("toeAgain")));
        assertEquals(step("toe"), SHEET.shownIn((Measure) step("toe")));
    }

    @Test
    void theNextStep_isTheFirstThatIsNotComplete() {
        assertEquals("prepare", SHEET.next(Answers.none()).id());
        Map<LineKey, WrittenValue> all = new HashMap<>();
        for (Step step : FULL.steps()) {
            int round = step instanceof Round ? 1 : 0;
            SHEET.keys(step, round).forEach(k -> all.put(k, WrittenValue.text("x")));
        }
        assertEquals("handIn", SHEET.next(new Answers(all)).id(), "the last where all are");
        all.remove(key("work/totalToe.front/0/0"));
        assertEquals("work", SHEET.next(new Answers(all)).id());
        assertEquals(key("handIn/done/0/0"), SHEET.handIn());
    }

    @Test
    void ownFigures_areThoseOfTheirState_andOfTheRepeatsThatTellThem() {
        Measure toe = (Measure) step("toe");
        Measure again = (Measure) step("toeAgain");
        Map<LineKey, WrittenValue> standing = new HashMap<>();
        write(standing, toe, 0, 1, 0.3);
        write(standing, toe, 0, 2, 0.5);
        write(standing, again, 1, 1, -0.1);
        standing.remove(new LineKey("toe", "hubGap.fl", 2, 0));
        var own = new OwnFigures(ASSIGNMENT, new Answers(standing));
        var total = figure("totalToe.front");
        assertEquals(1, own.repeats(toe, 0).size(), "a repeat that lacks a place tells nothing");
        assertEquals(0.3, Math.toDegrees(own.mean(toe, 0, total).orElseThrow().value()), 1e-6);
        assertEquals(
                -0.1, Math.toDegrees(own.mean(again, 1, total).orElseThrow().value()), 1e-6);
        assertEquals(Optional.empty(), own.mean(again, 2, total));
        assertTrue(own.onPaper(again, 2, total).isEmpty());
        write(standing, toe, 0, 2, 0.5);
        var both = new OwnFigures(ASSIGNMENT, new Answers(standing));
        assertEquals(0.4, Math.toDegrees(both.onPaper(toe, 0, total).orElseThrow()), 1e-6);
        double one = own.mean(toe, 0, total).orElseThrow().standardUncertainty();
        assertEquals(
                one / Math.sqrt(2),
                both.mean(toe, 0, total).orElseThrow().standardUncertainty(),
                0.04 * one,
                "but for how the strings hang");
        assertEquals(2, both.each(toe, 0, total).size());
    }

    private static void write(
            Map<LineKey, WrittenValue> standing, Measure measure, int round, int repeat, double total) {
        var truth = Vehicles.truth("toe.front.left", total / 2, "toe.front.right", total / 2);
        measure.procedure()
                .readings(truth, ASSIGNMENT.standing())
                .forEach((place, value) -> standing.put(
                        new LineKey(measure.id(), place, place.equals("stationDistance") ? 0 : repeat, round),
                        WrittenValue.number(String.valueOf(value), value, 0.5)));
    }

    /** A string on a rear tyre takes the rear wheel as straight, unless its toe was measured before: then with that toe and its doubt. */
    @Test
    void aStepTakesWhatStepsBeforeItFound() {
        var strings = Measure.of(
                "strings", Procedures.of("strings"), List.of(figure("toe.rear.left"), figure("toe.rear.right")), 1);
        var string = Measure.of("string", Procedures.of("rearString"), List.of(figure("toe.front.left")), 1);
        var again = Measure.of("again", Procedures.of("rearString"), List.of(figure("toe.front.left")), 1);
        var truth = Vehicles.truth(
                "toe.front.left", 0.3, "toe.rear.left", 0.12, "toe.rear.right", -0.05, "toe.front.right", 0.1);
        for (boolean before : new boolean[] {true, false}) {
            List<Step> steps = new ArrayList<>(List.of(string, new Round("adjust", List.of(again), 1)));
            steps.add(before ? 0 : 2, strings);
            var assignment = Assignment.of(FULL.with(steps), Vehicles.van());
            Map<LineKey, WrittenValue> standing = new HashMap<>();
            readAll(standing, strings, 0, truth);
            readAll(standing, string, 0, truth);
            readAll(standing, again, 1, truth);
            var own = new OwnFigures(assignment, new Answers(standing));
            var toe = own.mean(string, 0, figure("toe.front.left")).orElseThrow();
            assertEquals(before ? 0.3 : 0.18, Math.toDegrees(toe.value()), 1e-6);
            assertEquals(
                    before ? 0.3 : 0.18,
                    Math.toDegrees(own.mean(again, 1, figure("toe.front.left"))
                            .orElseThrow()
                            .value()),
                    1e-6,
                    "the rear axle was not read again");
            var rear = own.mean(strings, 0, figure("toe.rear.left")).orElseThrow();
            String gap = "strings/wheels.rl.frontGap/1/0";
            assertEquals(
                    before ? rear.budget().parts().get(gap) : null,
                    toe.budget().parts().get(gap),
                    "the same reading, the same source");
            assertEquals(before, own.standing(string, 0).own().containsKey(figure("toe.rear.left")));
        }
    }

    /** The side a beam runs on is a line of the step, asked again in each round; until it stands the gaps come to nothing. */
    @Test
    void whatIsChosenForReadings_isALineBeforeThem_andTurnsWhatTheyComeTo() {
        FigureId toe = figure("toe.front.left");
        var beam = Measure.of("beam", Procedures.of("laserLine"), List.of(toe), 2);
        var again = Measure.of("again", Procedures.of("laserLine"), List.of(toe), 1);
        assertEquals(
                List.of("lineSide", "wheels.fl.frontGap", "wheels.fl.rearGap"),
                beam.lines(Vehicles.van()).stream().map(Line::id).toList());
        assertFalse(beam.lines(Vehicles.van()).get(0).repeated());
        var assignment =
                Assignment.of(FULL.with(List.of(beam, new Round("adjust", List.of(again), 1))), Vehicles.van());
        Map<LineKey, WrittenValue> standing = new HashMap<>();
        readAll(standing, beam, 0, Vehicles.truth("toe.front.left", 0.3));
        readAll(standing, again, 1, Vehicles.truth("toe.front.left", 0.1));
        var sheet = new Sheet(assignment);
        assertEquals(new Sheet.Progress(2, 5), sheet.progress(beam, new Answers(standing)));
        assertEquals(
                Optional.empty(), new OwnFigures(assignment, new Answers(standing)).mean(beam, 0, toe), "not chosen");
        standing.put(LineKey.of("beam", "lineSide"), WrittenValue.text("inboard"));
        standing.put(new LineKey("again", "lineSide", 0, 1), WrittenValue.text("outboard"));
        var own = new OwnFigures(assignment, new Answers(standing));
        assertEquals(-0.3, Math.toDegrees(own.mean(beam, 0, toe).orElseThrow().value()), 1e-6);
        assertEquals(0.1, Math.toDegrees(own.mean(again, 1, toe).orElseThrow().value()), 1e-6);
        assertFalse(
                ExpectedUncertainty.asAsked(beam, assignment.standing()).isEmpty(),
                "what is to be expected goes by the usual side");
        assertFalse(new Target("beam", beam.procedure(), List.of(toe))
                .on(Vehicles.van())
                .isEmpty());
    }

    private static void readAll(Map<LineKey, WrittenValue> standing, Measure measure, int round, Truth truth) {
        var readings = measure.procedure().readings(truth, ASSIGNMENT.standing());
        measure.procedure().places(measure.figures()).forEach(place -> {
            double value = readings.get(place.id());
            standing.put(
                    new LineKey(measure.id(), place.id(), place.eachRepeat() ? 1 : 0, round),
                    WrittenValue.number(String.valueOf(value), value, 0.5));
        });
    }
}
