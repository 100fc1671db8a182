package app.galdrin.core.marking;

import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.spec.DecisionRule;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Camber and toe are outside on both sides of a van whose caster can't be adjusted. */
class OrderMarkerTest {

    private static final String LEFT_SLOT = "topSlot.front.left";
    private static final String LEFT_ROD = "rod.front.left";

    private static Bench found(double camber) {
        return Bench.fullFront(DecisionRule.SIMPLE)
                .read(state(3.5, camber, camber, 0.6, 0.6))
                .workRight();
    }

    private static String said(Bench bench) {
        List<Evidence> evidence = bench.line("adjust.order").evidence();
        return evidence.stream()
                .map(e -> e instanceof Evidence.Sequence s
                        ? s.round() + " " + s.moved() + " " + s.untouched()
                        : ((Evidence.MissingEntry) e).what().key())
                .collect(Collectors.joining("; "));
    }

    /** Moves of the left side by round, c for camber and t for toe, capital letters where toe is read in it; - is all left alone. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1.5|cT|1",
                "1.5|c T|2",
                "1.5|t C|1 rod.front.left camber.front.left",
                "-0.4|t C|2",
                "1.5|c t|2 totalToe.front",
                "1.5|C t|2",
                "1.5|cT c|2 totalToe.front",
                "1.5|cT C|2",
                "1.5|-|1",
                "1.5||moves",
            })
    void theOrder_isLostByWhatDisturbsWhatWasSet(double camber, String rounds, String expected) {
        Bench bench = found(camber);
        String[] all = rounds == null ? new String[0] : rounds.split(" ");
        for (int round = 1; round <= all.length; round++) {
            write(bench, all[round - 1], round, camber);
            bench.write("adjust/next/0/" + round, round < all.length ? "again" : "finished");
        }
        assertEquals(expected.split(" ").length == 1 ? expected + "  " : expected, padded(said(bench), expected));
    }

    private static void write(Bench bench, String moves, int round, double camber) {
        boolean slot = moves.toLowerCase(java.util.Locale.ROOT).contains("c");
        boolean rod = moves.toLowerCase(java.util.Locale.ROOT).contains("t");
        bench.write("adjust/" + LEFT_SLOT + ".way/0/" + round, slot ? "inward" : "leave");
        bench.write("adjust/" + LEFT_ROD + ".way/0/" + round, rod ? "shorten" : "leave");
        bench.write("adjust/topSlot.front.right.way/0/" + round, slot ? "inward" : "leave");
        if (!moves.equals(moves.toLowerCase(java.util.Locale.ROOT))) {
            bench.readInRound("toeAgain", round, state(3.5, camber, camber, 0.6, 0.6));
        }
    }

    /** What is missing has no spaces; what was kept has an empty part and figure behind its round. */
    private static String padded(String said, String expected) {
        return expected.equals("moves") ? said + "  " : said.replaceFirst("^(\\d) {2}(\\S)", "$1 $2");
    }
}
