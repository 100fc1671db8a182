package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.Vehicles.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskDocument;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One figure by two procedures. */
class ComparisonTest {

    private static final FigureId TOTAL = figure("totalToe.front");
    private static final Measure PLATES = Measure.of("plates", Procedures.of("plates"), List.of(TOTAL), 1);
    private static final Measure STRINGS = Measure.of("strings", Procedures.of("strings"), List.of(TOTAL), 1);

    private static Practical both(List<FigureId> compared, Measure... measures) {
        Practical start = TaskStart.TOE.on(Vehicles.van(), "Two ways", OrderSchool.A, AnswerUnit.DEGREES);
        List<Step> steps = new ArrayList<>(List.of(measures));
        steps.addAll(List.of(new Judge("judge", List.of(TOTAL), compared), new HandIn("handIn")));
        return TaskStart.withDefaults(start.with(steps), Vehicles.van());
    }

    /** The front tape read by so many mm too long: over 500 mm a millimetre is 0.115° of the total. */
    @ParameterizedTest
    @CsvSource({"0,agree", "0.8,agree", "6,disagree", "-6,disagree"})
    void whetherTheyAgree_isTheirDifferenceAgainstItsDoubt(double tooLong, String right) {
        Bench bench = Bench.of(both(List.of(TOTAL), PLATES, STRINGS), Vehicles.van())
                .read(truth("toe.front.left", 0.1, "toe.front.right", 0.05));
        double front = bench.answers().readings(PLATES, 0).get(0).get("frontDistance");
        bench.write("plates/frontDistance/1/0", String.valueOf(front + tooLong))
                .write("judge/agrees.totalToe.front/0/0", "agree");
        var evidence =
                bench.evidence("judge.verdict", Evidence.FigureComparison.class).get(0);
        assertEquals(right, evidence.right().key());
        assertEquals(right.equals("agree") ? 1 : 0, evidence.credit());
        assertEquals(-Math.toDegrees(tooLong / 500), Math.toDegrees(evidence.difference()), 2e-3);
        assertTrue(evidence.expanded() > 0);
    }

    @Test
    void withoutAnAnswerOrAReading_itIsMissing() {
        Bench bench = Bench.of(both(List.of(TOTAL), PLATES, STRINGS), Vehicles.van());
        assertEquals(
                List.of(Lack.READINGS, Lack.WORKING),
                bench.evidence("judge.verdict", Evidence.MissingEntry.class).stream()
                        .map(Evidence.MissingEntry::what)
                        .limit(2)
                        .toList());
        bench.read(truth("toe.front.left", 0.1));
        assertEquals(
                Lack.VERDICT,
                bench.evidence("judge.verdict", Evidence.MissingEntry.class)
                        .get(0)
                        .what());
    }

    @Test
    void itIsAskedOnlyWhereTwoProceduresTellIt_andComesBackFromItsDocument() {
        assertEquals(
                List.of("steps.1.compared notToldTwice"),
                both(List.of(TOTAL), PLATES).faults().stream()
                        .map(f -> f.at() + " " + f.reason().key())
                        .toList());
        Practical practical = both(List.of(TOTAL), PLATES, STRINGS);
        assertEquals(List.of(), practical.faults(Vehicles.van()));
        String document = TaskDocument.write(practical);
        assertEquals(document, TaskDocument.write(TaskDocument.stored(document)));
        assertTrue(document.contains("\"compared\":[\"totalToe.front\"]"));
        assertEquals(
                "agrees.totalToe.front",
                new Judge("j", List.of(TOTAL), List.of(TOTAL))
                        .lines(Vehicles.van())
                        .get(0)
                        .id());
        assertTrue(both(List.of(TOTAL), PLATES, PLATES.as("again"), STRINGS)
                .comparison(TOTAL, "judge")
                .filter(c -> c.second().equals(STRINGS))
                .isPresent());
    }
}
