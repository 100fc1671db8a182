package app.galdrin.core.marking;

import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.DecisionRule;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CopyingQuestionTest {

    private static final Truth TRUTH = state(3.5, -0.4, -0.6, 0.3, -0.1);

    private static List<Answers> readByThemselves(int people, SplittableRandom random) {
        List<Answers> sheets = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            sheets.add(Bench.fullFront(DecisionRule.SIMPLE)
                    .readByHand(TRUTH, random)
                    .answers());
        }
        return sheets;
    }

    @Test
    void whoReadByThemselves_areNotAskedAbout() {
        var random = new SplittableRandom(3);
        var assignment = Bench.fullFront(DecisionRule.SIMPLE).assignment;
        for (int i = 0; i < 10; i++) {
            assertEquals(List.of(), CopyingQuestion.of(assignment, readByThemselves(12, random)));
        }
    }

    /** One of twelve takes what his neighbour has and changes a few. */
    @Test
    void aSheetThatIsTheNeighboursButForAFew_isAskedAbout() {
        var random = new SplittableRandom(4);
        var assignment = Bench.fullFront(DecisionRule.SIMPLE).assignment;
        List<Answers> sheets = readByThemselves(12, random);
        Map<LineKey, WrittenValue> copied = new HashMap<>(sheets.get(2).standing());
        copied.replaceAll((key, w) ->
                random.nextInt(12) == 0 ? WrittenValue.number("", w.value().orElse(0) + 0.5, 0.5) : w);
        sheets.set(7, new Answers(copied));
        var asked = CopyingQuestion.of(assignment, sheets);
        assertEquals(1, asked.size());
        var pair = asked.get(0);
        assertEquals(2, pair.first());
        assertEquals(7, pair.second());
        assertTrue(pair.matches() > 0.8 * pair.both() && pair.both() > 40, pair.toString());
        assertTrue(pair.chance() < 1 / CopyingQuestion.ONE_IN);
    }

    /** Two who read the very same strings by themselves have much in common, and are not asked. */
    @Test
    void whoSharesASetUp_isNotAskedAbout() {
        var random = new SplittableRandom(5);
        var assignment = Bench.fullFront(DecisionRule.SIMPLE).assignment;
        for (int i = 0; i < 20; i++) {
            Bench first = Bench.fullFront(DecisionRule.SIMPLE);
            Bench second = Bench.fullFront(DecisionRule.SIMPLE);
            Bench.readSameSetUp(first, second, TRUTH, random);
            assertEquals(List.of(), CopyingQuestion.of(assignment, List.of(first.answers(), second.answers())));
        }
    }

    /** By trying: a rule in half millimetres, a level to a twentieth of a degree. */
    @ParameterizedTest
    @CsvSource({"strings,wheels.fl.frontGap", "inclinometerZeroed,fl.gauge", "plates,frontDistance"})
    void theChanceOfAMatch_isWhatHandsMakeOfIt(String procedure, String id) {
        Place place = Procedures.of(procedure).place(id);
        var hands = Hands.trained(1, new SplittableRandom(6));
        var random = new SplittableRandom(7);
        int matches = 0;
        for (int i = 0; i < 20000; i++) {
            double stands = random.nextDouble(50, 60);
            double one = hands.read(place, stands);
            double other = hands.read(place, stands);
            matches += Math.abs(one - other) < 1e-9 ? 1 : 0;
        }
        assertEquals(matches / 20000.0, CopyingQuestion.chanceOfAMatch(place), 0.012);
    }

    @ParameterizedTest
    @CsvSource({"0,1", "1,0.75", "2,0.25", "3,0"})
    void atLeastSoMany(int matches, double chance) {
        assertEquals(chance, CopyingQuestion.atLeast(matches, List.of(0.5, 0.5)), 1e-12);
    }
}
