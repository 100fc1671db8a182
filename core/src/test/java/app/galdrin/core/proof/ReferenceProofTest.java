package app.galdrin.core.proof;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.proof.MeanTrial.Method;
import app.galdrin.core.proof.ReferenceProof.Count;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ReferenceProofTest {

    private static final int CLASSES = 15;

    private static double share(Map<Count, Tally.Share> counts, Count count) {
        return counts.getOrDefault(count, Tally.Share.NONE).share();
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theInstructorReadsAQuarter_andNoVerdictIsWorseForIt(boolean isGaugeBent) {
        Map<Count, Tally.Share> counts = ReferenceProof.classes(CLASSES, isGaugeBent, 11);
        assertTrue(share(counts, Count.READ) < 0.27, counts.toString());
        assertTrue(
                share(counts, Count.AS_LEFT_FAILED_WRONGLY)
                        <= share(counts, Count.AS_LEFT_FAILED_WRONGLY_BY_INSTRUCTOR),
                counts.toString());
        assertTrue(
                share(counts, Count.AS_LEFT_WRONG) <= share(counts, Count.AS_LEFT_WRONG_BY_INSTRUCTOR),
                counts.toString());
        assertTrue(
                share(counts, Count.HONEST_LOSE) <= share(counts, Count.HONEST_LOSE_BY_INSTRUCTOR), counts.toString());
        assertTrue(
                share(counts, Count.SLIPS_LOSE) > 0.8 * share(counts, Count.SLIPS_LOSE_BY_INSTRUCTOR),
                counts.toString());
        assertTrue(share(counts, Count.AS_LEFT_WAITS) < 0.05, counts.toString());
        assertEquals(CLASSES * 4 * 3 * 5, counts.get(Count.AS_LEFT_WRONG).tries());
    }

    @Test
    void theSameSeed_countsTheSame() {
        assertEquals(ReferenceProof.classes(1, true, 3), ReferenceProof.classes(1, true, 3));
    }

    @Test
    void fromThreeResultsOn_theirOwnUncertaintiesAreTheBestWeights() {
        for (int results = 3; results <= 6; results++) {
            var own = MeanTrial.of(Method.OWN_UNCERTAINTIES, results, 4_000, 5);
            for (Method other : new Method[] {Method.ALGORITHM_A, Method.PAULE_MANDEL}) {
                var theirs = MeanTrial.of(other, results, 4_000, 5);
                assertTrue(own.off() < theirs.off() && own.far() < theirs.far(), other + " of " + results);
            }
            assertTrue(own.covered() > 0.88, "covered " + own.covered());
        }
    }
}
