package app.galdrin.core.proof;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.simulated.HonestHands;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The marking on simulated apprentices. A small run, and so wide limits; {@code docs/marking-proof.md} has a large one. */
class ProofTest {

    private static final int SITTINGS = 1000;
    private static final Tally TALLY = new Proof(7, 1).sittings(SITTINGS);

    /** So many of so few may come out otherwise by chance: three standard deviations of a count. */
    private static double room(Measured measured, double reach) {
        long tries = measured.worst()
                ? TALLY.of(measured).of() / Subject.REPEATS.size()
                : TALLY.of(measured).of();
        return 3 * Math.sqrt(reach * (1 - reach) / tries);
    }

    @ParameterizedTest
    @EnumSource
    void everyMeasure_reachesWhatItIsToReach(Measured measured) {
        assertTrue(TALLY.of(measured).of() > 150, "counted");
        double held = TALLY.held(measured);
        String which = measured.key() + " " + held;
        assertTrue(held >= measured.least() - room(measured, measured.least()), which);
        assertTrue(held <= measured.most() + room(measured, measured.most()), which);
    }

    @Test
    void theSameSeed_givesTheSameTable_andAnotherAnother() {
        Tally again = new Proof(7, 1).sittings(60);
        Tally more = new Proof(7, 1).sittings(60);
        Tally other = new Proof(8, 1).sittings(60);
        boolean differs = false;
        for (Measured measured : Measured.values()) {
            assertEquals(again.by(measured), more.by(measured));
            differs |= !again.by(measured).equals(other.by(measured));
        }
        assertTrue(differs);
    }

    /** Clumsier hands than the task counts with lose what they lose to the readings, and are accused of nothing. */
    @Test
    void handsHalfAsClumsyAgain_loseMarks_andAreNotAccused() {
        Tally clumsy = new Proof(7, 1.5).sittings(400);
        assertTrue(clumsy.held(Measured.HONEST_READING_LOST) > TALLY.held(Measured.HONEST_READING_LOST));
        assertTrue(clumsy.held(Measured.HONEST_ACCUSED) <= 0.01);
        assertEquals(0, clumsy.held(Measured.HONEST_WORKING_LOST));
    }

    private static Map<String, String> table(String page, String row) {
        return Pattern.compile(row)
                .matcher(page)
                .results()
                .collect(Collectors.toMap(m -> m.group(1), ProofTest::numbers, (a, b) -> b, TreeMap::new));
    }

    private static String numbers(MatchResult row) {
        StringBuilder numbers = new StringBuilder();
        for (int i = 2; i <= row.groupCount(); i++) {
            numbers.append(Double.parseDouble(row.group(i))).append(' ');
        }
        return numbers.toString();
    }

    @Test
    void thePage_hasTheNumbersOfTheHands() throws Exception {
        String page = Files.readString(Path.of("../docs/honest-hands.md"));
        Map<String, String> readings = new TreeMap<>();
        HonestHands.READINGS.forEach(
                (instrument, habit) -> readings.put(instrument.key(), habit.eye() + " " + habit.laidOn() + " "));
        assertEquals(CatalogueInstrument.values().length, readings.size());
        assertEquals(readings, table(page, "\\| `(\\w+)` \\| ([0-9.]+) \\| ([0-9.]+) \\| (?:mm|°) \\|\n"));
        Map<String, String> settings = new TreeMap<>();
        HonestHands.SET_LENGTHS.forEach((word, most) -> settings.put(word, most + " "));
        HonestHands.SET_ANGLES.forEach((word, most) -> settings.put(word, most + " "));
        assertEquals(settings, table(page, "\\| `(\\w+)` \\| ([0-9.]+) \\| (?:mm|°) \\| \\w"));
        assertTrue(page.contains(HonestHands.TREAD + " mm more"));
        assertTrue(page.contains("One person in " + HonestHands.COARSE_ONE_IN + " "));
    }
}
