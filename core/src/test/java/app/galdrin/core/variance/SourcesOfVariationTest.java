package app.galdrin.core.variance;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.variance.VarianceComponents.Outcome;
import app.galdrin.core.variance.VarianceComponents.Reading;
import app.galdrin.core.variance.VarianceComponents.Source;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SourcesOfVariationTest {

    private static List<Reading> drawn(
            RandomGenerator random, int people, int states, int repeats, double[] deviations, double left) {
        double[] ofState = DoubleStream.generate(() -> random.nextGaussian(0, deviations[0]))
                .limit(states)
                .toArray();
        double[] ofPerson = DoubleStream.generate(() -> random.nextGaussian(0, deviations[1]))
                .limit(people)
                .toArray();
        List<Reading> readings = new ArrayList<>();
        for (int p = 0; p < people; p++) {
            for (int s = 0; s < states; s++) {
                double together = random.nextGaussian(0, deviations[2]);
                for (int r = 0; r < repeats; r++) {
                    double value = 5 + ofState[s] + ofPerson[p] + together + random.nextGaussian(0, deviations[3]);
                    if (random.nextDouble() >= left) {
                        readings.add(new Reading("p" + p, "s" + s, value));
                    }
                }
            }
        }
        return readings;
    }

    private static VarianceComponents split(List<Reading> readings) {
        return assertInstanceOf(Outcome.Split.class, VarianceComponents.of(readings))
                .into();
    }

    /** Every cell filled alike: what the textbook's mean squares give. */
    private static Map<Source, Double> byMeanSquares(List<Reading> all, int people, int states, int repeats) {
        double[][] cells = new double[people][states];
        double[] ofPerson = new double[people];
        double[] ofState = new double[states];
        double mean = 0;
        for (Reading r : all) {
            int p = Integer.parseInt(r.person().substring(1));
            int s = Integer.parseInt(r.state().substring(1));
            cells[p][s] += r.value() / repeats;
            ofPerson[p] += r.value() / (repeats * states);
            ofState[s] += r.value() / (repeats * people);
            mean += r.value() / all.size();
        }
        double between = 0;
        double person = 0;
        double state = 0;
        double within = 0;
        for (int p = 0; p < people; p++) {
            person += Math.pow(ofPerson[p] - mean, 2) * states * repeats / (people - 1);
            for (int s = 0; s < states; s++) {
                between += Math.pow(cells[p][s] - ofPerson[p] - ofState[s] + mean, 2)
                        * repeats
                        / ((people - 1) * (states - 1));
            }
        }
        for (int s = 0; s < states; s++) {
            state += Math.pow(ofState[s] - mean, 2) * people * repeats / (states - 1);
        }
        for (Reading r : all) {
            int p = Integer.parseInt(r.person().substring(1));
            int s = Integer.parseInt(r.state().substring(1));
            within += Math.pow(r.value() - cells[p][s], 2) / (people * states * (repeats - 1));
        }
        Map<Source, Double> raw = new EnumMap<>(Source.class);
        raw.put(Source.REPEAT, within);
        raw.put(Source.PERSON_WITH_VEHICLE, (between - within) / repeats);
        double cell = Math.max(0, (between - within) / repeats);
        raw.put(Source.PERSON, (person - within - repeats * cell) / (repeats * states));
        raw.put(Source.VEHICLE, (state - within - repeats * cell) / (repeats * people));
        return raw;
    }

    @ParameterizedTest
    @MethodSource("app.galdrin.core.Seeds#some")
    void whereEveryCellIsAlike_itIsWhatMeanSquaresGive(long seed) {
        RandomGenerator random = Seeds.generator(seed);
        int people = 3 + random.nextInt(5);
        int states = 2 + random.nextInt(4);
        int repeats = 2 + random.nextInt(3);
        List<Reading> readings = drawn(random, people, states, repeats, new double[] {0.5, 0.3, 0.2, 0.25}, 0);
        VarianceComponents split = split(readings);
        byMeanSquares(readings, people, states, repeats).forEach((source, variance) -> {
            assertEquals(Math.max(0, variance), split.variances().get(source), 1e-9, seed + " " + source);
            assertEquals(variance < 0, split.negative().contains(source), seed + " " + source);
        });
        assertEquals(people * states * repeats, split.readings());
    }

    /** With a fifth of the readings missing here and there, the mean of many splits is what was put in. */
    @Test
    void withGaps_theMeanIsWhatWasPutIn() {
        double[] deviations = {0.6, 0.4, 0.3, 0.2};
        Map<Source, Double> sums = new EnumMap<>(Source.class);
        int runs = 300;
        for (int i = 0; i < runs; i++) {
            VarianceComponents split = split(drawn(Seeds.generator(i), 8, 6, 3, deviations, 0.2));
            split.variances().forEach((source, v) -> sums.merge(source, v / runs, Double::sum));
        }
        for (Source source : Source.values()) {
            double there = Math.pow(deviations[source.ordinal()], 2);
            assertEquals(there, sums.get(source), 0.12 * there, source.key());
        }
    }

    /** Readings by nobody's habit on a vehicle that was not changed: what comes out below nought is none, and is said. */
    @Test
    void aShareBelowNought_isNone_andIsSaid() {
        List<Reading> readings = new ArrayList<>();
        double[] same = {1.0, 1.4};
        for (String person : List.of("a", "b", "c")) {
            for (String state : List.of("x", "y")) {
                for (double value : same) {
                    readings.add(new Reading(person, state, value));
                }
            }
        }
        VarianceComponents split = split(readings);
        assertEquals(Set.of(Source.PERSON, Source.VEHICLE, Source.PERSON_WITH_VEHICLE), split.negative());
        assertEquals(1, split.share(Source.REPEAT), 1e-12);
        assertEquals(0, split.share(Source.PERSON));
        assertEquals(Math.sqrt(0.08), split.deviation(Source.REPEAT), 1e-12);
        assertEquals(0.2, split.ofOnePerson(2), 1e-12);
        assertEquals(Source.REPEAT, split.greatest(true));
        assertEquals(1.2, split.mean(), 1e-12);
    }

    @Test
    void whoReadsHigher_isThePerson_andWhatIsHigher_theVehicle() {
        List<Reading> readings = new ArrayList<>();
        for (int p = 0; p < 3; p++) {
            for (int s = 0; s < 2; s++) {
                readings.add(new Reading("p" + p, "s" + s, p + 10 * s - 0.01));
                readings.add(new Reading("p" + p, "s" + s, p + 10 * s + 0.01));
            }
        }
        VarianceComponents split = split(readings);
        assertEquals(1, split.deviation(Source.PERSON), 1e-3);
        assertEquals(10 / Math.sqrt(2), split.deviation(Source.VEHICLE), 1e-3);
        assertEquals(Source.VEHICLE, split.greatest(true));
        assertEquals(Source.PERSON, split.greatest(false));
        assertEquals(1, split.share(Source.PERSON) + split.share(Source.VEHICLE) + split.share(Source.REPEAT), 1e-6);
    }

    /** Too few people, vehicles or repeats, or nobody who has read two vehicles: nothing to split. */
    @ParameterizedTest
    @CsvSource({"2,2,2,false", "3,1,2,false", "3,2,1,false", "3,2,2,true"})
    void tooLittle_isSaid(int people, int states, int repeats, boolean enough) {
        List<Reading> readings = drawn(Seeds.generator(1), people, states, repeats, new double[] {1, 1, 1, 1}, 0);
        assertEquals(enough, VarianceComponents.of(readings) instanceof Outcome.Split);
        if (!enough) {
            var few = (Outcome.TooFew) VarianceComponents.of(readings);
            assertEquals(people, few.people());
            assertEquals(states, few.states());
            assertEquals(repeats > 1 ? people * states : 0, few.repeated());
        }
    }

    @Test
    void everyoneOnAVehicleOfHisOwn_canNotBeSplit() {
        List<Reading> readings = new ArrayList<>();
        for (int p = 0; p < 5; p++) {
            readings.add(new Reading("p" + p, "s" + p, p));
            readings.add(new Reading("p" + p, "s" + p, p + 0.1));
        }
        assertTrue(VarianceComponents.of(readings) instanceof Outcome.TooFew);
    }
}
