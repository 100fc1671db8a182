package app.galdrin.core.reference;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.DoubtSource.Origin;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class RobustMeanTest {

    private static Estimate result(double value, double u, String reader) {
        return new Estimate(value, Budget.NONE).with(DoubtSource.reading(reader, "rule"), u);
    }

    private static List<Estimate> results(double[] values, double[] u) {
        List<Estimate> all = new ArrayList<>();
        for (int i = 0; i < values.length; i++) {
            all.add(result(values[i], u[i], "reader " + i));
        }
        return all;
    }

    /**
     * Worked by hand. Near ones: the mean by 1/u². One far off pulls with 1.5/u: 0 and 0 with u 1, 10 with u 1 gives 2x = 1.5. Two far apart, equally
     * well known: the middle. Two far apart, u 1 and 2: x is where x/1² = 1.5/2.
     */
    @ParameterizedTest
    @CsvSource({
        "'5', '3', 5, 3",
        "'1,2', '1,1', 1.5, 0.7071",
        "'1,2', '1,2', 1.2, 0.8944",
        "'0,0,10', '1,1,1', 0.75, 0.6584",
        "'0,0,1000000', '1,1,1', 0.75, 0.7071",
        "'-4,4', '1,1', 0, 2.6234",
        "'0,100', '1,2', 0.75, 1.9",
    })
    void farResults_pullWithSoMuchAtMost(String values, String doubts, double mean, double u) {
        var robust = new RobustMean(results(numbers(values), numbers(doubts)));
        assertEquals(mean, robust.estimate().value(), 1e-9);
        assertEquals(u, robust.estimate().standardUncertainty(), 0.03 * u);
    }

    private static double[] numbers(String text) {
        return List.of(text.split(",")).stream()
                .mapToDouble(Double::parseDouble)
                .toArray();
    }

    /** The score of the others at the new mean balances what the one can pull, whatever it says: so far and no farther. */
    @ParameterizedTest
    @MethodSource("app.galdrin.core.Seeds#some")
    void oneResult_whateverItSays_movesTheMeanByAStatedBoundAtMost(long seed) {
        RandomGenerator random = Seeds.generator(seed);
        int others = 2 + random.nextInt(6);
        double[] values = new double[others + 1];
        double[] u = new double[others + 1];
        double weights = 0;
        for (int i = 0; i < others; i++) {
            u[i] = Seeds.between(random, 0.5, 2);
            values[i] = Seeds.between(random, -0.2, 0.2) * u[i];
            weights += 1 / (u[i] * u[i]);
        }
        u[others] = Seeds.between(random, 0.8, 3);
        double without =
                new RobustMean(results(values, u).subList(0, others)).estimate().value();
        for (double lie : new double[] {5, 1e3, 1e9}) {
            values[others] = random.nextBoolean() ? lie : -lie;
            double with = new RobustMean(results(values, u)).estimate().value();
            double score = 0;
            for (int i = 0; i < others; i++) {
                score += Math.max(-1.5, Math.min((values[i] - with) / u[i], 1.5)) / u[i];
            }
            assertTrue(Math.abs(score) <= 1.5 / u[others] * (1 + 1e-6), "score " + score);
            boolean linear = 1.5 / u[others] / weights < 1.2 * 0.5;
            assertTrue(
                    !linear || Math.abs(with - without) <= 1.5 / u[others] / weights * (1 + 1e-6),
                    with + " against " + without);
        }
    }

    @ParameterizedTest
    @MethodSource("app.galdrin.core.Seeds#some")
    void theMean_moves_andScalesWithItsResults(long seed) {
        RandomGenerator random = Seeds.generator(seed);
        int n = 2 + random.nextInt(8);
        double[] values = new double[n];
        double[] moved = new double[n];
        double[] u = new double[n];
        double[] wider = new double[n];
        for (int i = 0; i < n; i++) {
            values[i] = random.nextGaussian() * 3;
            u[i] = Seeds.between(random, 0.1, 2);
            moved[i] = -2 * values[i] + 7;
            wider[i] = 2 * u[i];
        }
        Estimate before = new RobustMean(results(values, u)).estimate();
        Estimate after = new RobustMean(results(moved, wider)).estimate();
        assertEquals(-2 * before.value() + 7, after.value(), 1e-6);
        assertEquals(2 * before.standardUncertainty(), after.standardUncertainty(), 1e-6);
    }

    /** What all share neither averages out nor decides who counts more. */
    @Test
    void aDoubtThatAllShare_staysWhole() {
        var floor = DoubtSource.shared(Origin.BAY, "roll");
        List<Estimate> shared = List.of(
                result(1, 0.3, "one").with(floor, 2),
                result(1.2, 0.3, "other").with(floor, 2),
                result(1.1, 0.3, "third").with(floor, 2));
        Estimate mean = new RobustMean(shared).estimate();
        assertEquals(Math.hypot(2, 0.3 / Math.sqrt(3)), mean.standardUncertainty(), 1e-9);
        assertEquals(1.1, mean.value(), 1e-9);
    }

    @Test
    void resultsThatCannotAllBeRight_doNotAgree_andSayWhichLiesOff() {
        var mean = new RobustMean(results(new double[] {0, 0.1, 0, 9}, new double[] {1, 1, 1, 1}));
        assertTrue(mean.share(3) < 0.2);
        assertEquals(1, mean.share(0));
        assertTrue(mean.agrees()); // three of four do, and the fourth hardly counts
        assertFalse(new RobustMean(results(new double[] {0, 4}, new double[] {1, 1})).agrees());
        assertTrue(new RobustMean(results(new double[] {0, 2}, new double[] {1, 1})).agrees());
    }
}
