package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.sitting.Answers;
import app.galdrin.core.spec.DecisionRule;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReferenceQuestionTest {

    private static Bench bench() {
        return Bench.fullFront(DecisionRule.SIMPLE);
    }

    /** Camber read by so many at so much, the reference at -0.4: U of a difference is 0.28 degrees. */
    @ParameterizedTest
    @CsvSource({
        "5,0.1,0,true",
        "4,0.1,0,false",
        "5,0.1,6,true",
        "5,-0.9,0,true",
        "6,-0.25,0,false",
        "0,0,8,false",
    })
    void fiveThatLieOffTheSameWay_askForTheReferenceToBeReadAgain(int off, double camber, int right, boolean asked) {
        List<Answers> sittings = new ArrayList<>();
        for (int i = 0; i < off + right; i++) {
            double left = i < off ? camber : -0.4;
            sittings.add(bench().read(state(3.5, left, -0.4, 0.1, 0.1)).answers());
        }
        Bench reference = bench().reference(state(3.5, -0.4, -0.4, 0.1, 0.1));
        var found = ReferenceQuestion.of(
                reference.assignment, reference.references().asFound(), sittings);
        Set<String> figures = found.stream().map(o -> o.figure().key()).collect(Collectors.toSet());
        assertEquals(asked ? Set.of("camber.front.left") : Set.of(), figures);
        if (asked) {
            var one = found.get(0);
            assertEquals(off, one.sittings());
            assertEquals(camber + 0.4, Math.toDegrees(one.median()), 1e-6);
            assertEquals(figure("camber.front.left"), one.figure());
            assertTrue(one.expanded() > 0 && one.expanded() < Math.abs(one.median()));
        }
    }

    /** Sixteen honest people and an honest instructor, fifty times over. */
    @Test
    void honestHands_seldomAskForIt() {
        var random = new SplittableRandom(11);
        int asked = 0;
        for (int i = 0; i < 50; i++) {
            var truth = state(3.5, random.nextDouble(-1, 1), -0.4, 0.1, 0.1);
            List<Answers> sittings = new ArrayList<>();
            for (int person = 0; person < 16; person++) {
                sittings.add(bench().readByHand(truth, random).answers());
            }
            Bench reference = bench().referenceByHand(truth, random);
            asked += ReferenceQuestion.of(
                                    reference.assignment, reference.references().asFound(), sittings)
                            .isEmpty()
                    ? 0
                    : 1;
        }
        assertTrue(asked <= 2, asked + " of 50");
    }

    @Test
    void withoutAReference_nothingIsAsked() {
        List<Answers> sittings =
                List.of(bench().answers(), bench().answers(), bench().answers(), bench().answers(), bench().answers());
        assertEquals(List.of(), ReferenceQuestion.of(bench().assignment, Answers.none(), sittings));
    }
}
