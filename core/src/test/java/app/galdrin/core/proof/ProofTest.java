package app.galdrin.core.proof;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.workshop.Habits;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The marking on simulated apprentices. A small run, and so wide limits; {@code docs/marking-proof.md} has a large one. */
class ProofTest {

    private static final int SITTINGS = Boolean.getBoolean("galdrin.full") ? 1300 : 500;
    private static final Tally TALLY = new Proof(7, 1).sittings(SITTINGS);

    /** So many of so few may come out otherwise by chance: three standard deviations of a count. */
    private static double room(ProofMeasure measured, double reach) {
        return 3 * Math.sqrt(reach * (1 - reach) / TALLY.of(measured).tries());
    }

    @ParameterizedTest
    @EnumSource
    void everyMeasure_reachesWhatItIsToReach(ProofMeasure measured) {
        assertTrue(TALLY.of(measured).tries() > SITTINGS / 9, "counted");
        double share = TALLY.of(measured).share();
        double least = measured.least();
        double most = measured.most();
        String which = measured.key() + " " + share;
        assertTrue(share >= least - room(measured, least), which);
        assertTrue(share <= most + room(measured, most), which);
    }

    @Test
    void theSameSeed_givesTheSameTable_andAnotherAnother() {
        Tally again = new Proof(7, 1).sittings(60);
        Tally more = new Proof(7, 1).sittings(60);
        Tally other = new Proof(8, 1).sittings(60);
        boolean differs = false;
        for (ProofMeasure measured : ProofMeasure.values()) {
            assertEquals(again.by(measured), more.by(measured));
            differs |= !again.by(measured).equals(other.by(measured));
        }
        assertTrue(differs);
    }

    /** Clumsier hands than the task counts with lose what they lose to the readings, and nothing to the working. */
    @Test
    void handsHalfAsClumsyAgain_loseMarks_andAreNotAccused() {
        Tally clumsy = new Proof(7, 1.5).sittings(400);
        assertTrue(clumsy.of(ProofMeasure.HONEST_READING_LOST).share()
                > TALLY.of(ProofMeasure.HONEST_READING_LOST).share());
        assertTrue(clumsy.of(ProofMeasure.HONEST_ACCUSED).share() <= 0.01);
        assertEquals(0, clumsy.of(ProofMeasure.HONEST_WORKING_LOST).came());
    }

    /** Worked by hand: of 8 of 10 the interval is from 49 to 94 % [Wilson]. */
    @Test
    void aShare_hasItsInterval() {
        var share = new Tally.Share(10, 8, 1);
        assertEquals(0.8, share.share());
        assertEquals(0.1, share.possibleShare());
        assertEquals(0.4902, share.lower(), 1e-4);
        assertEquals(0.9433, share.upper(), 1e-4);
        assertEquals(0, Tally.Share.NONE.lower());
        assertEquals(1, Tally.Share.NONE.upper());
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
        Habits.READINGS.forEach(
                (instrument, habit) -> readings.put(instrument, habit.eye() + " " + habit.laidOn() + " "));
        assertEquals(
                Stream.of(CatalogueInstrument.values())
                        .map(CatalogueInstrument::key)
                        .collect(Collectors.toSet()),
                readings.keySet());
        assertEquals(readings, table(page, "\\| `(\\w+)` \\| ([0-9.]+) \\| ([0-9.]+) \\| (?:mm|°) \\|"));
        Map<String, String> settings = new TreeMap<>();
        Habits.SETTINGS.forEach((what, habit) -> settings.put(what, habit.most() + " " + habit.over() + " "));
        assertEquals(settings, table(page, "\\| `(\\w+)` \\| ([0-9.]+) (?:mm|°) \\| (?:over )?([0-9.]+)"));
        assertTrue(page.contains(Habits.TREAD + " mm more"));
        assertTrue(page.contains("One person in " + Habits.COARSE_ONE_IN + " "));
    }
}
