package app.galdrin.core.moderation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import app.galdrin.core.moderation.Sample.Rule;
import app.galdrin.core.moderation.Sample.Sheet;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SampleTest {

    private static List<Sheet> plain(int count) {
        List<Sheet> sheets = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            sheets.add(new Sheet(new UUID(7, i), 90, 0, false));
        }
        return sheets;
    }

    @ParameterizedTest
    @CsvSource({"16,20,4", "16,0,0", "16,1,1", "16,100,16", "0,20,0", "3,34,2"})
    void theShare_isRoundedUpToAWholeSheet(int sheets, int percent, int drawn) {
        assertEquals(
                drawn,
                Sample.of(plain(sheets), new Rule(1, percent, 3, List.of(50.0))).size());
    }

    @Test
    void theSameRule_drawsTheSame_inWhateverOrderTheyCome() {
        List<Sheet> sheets = plain(40);
        var rule = new Rule(42, 25, 3, List.of(50.0));
        List<Sample.SampledSheet> once = Sample.of(sheets, rule);
        Collections.shuffle(sheets, new Random(3));
        assertEquals(once, Sample.of(sheets, rule));
        assertNotEquals(once, Sample.of(sheets, new Rule(43, 25, 3, List.of(50.0))));
        assertEquals(
                List.of(1L, 4L, 5L, 26L, 30L, 34L, 35L, 36L, 37L, 38L),
                once.stream()
                        .map(d -> d.sheet().id().getLeastSignificantBits())
                        .sorted()
                        .toList(),
                "by seed 42, for good");
    }

    @ParameterizedTest
    @CsvSource({
        "47,0,false,BORDERLINE",
        "53,0,false,BORDERLINE",
        "53.1,0,false,",
        "46.9,0,false,",
        "68,0,false,BORDERLINE",
        "90,1,false,BORDERLINE",
        "90,2,false,",
        "50,1,true,OVERRIDE",
        "90,0,true,OVERRIDE",
    })
    void whatIsNearABoundary_orMarkedByHand_isAlwaysThere(
            double percent, int barring, boolean byHand, SelectionReason why) {
        var sheet = new Sheet(new UUID(1, 1), percent, barring, byHand);
        List<Sample.SampledSheet> drawn = Sample.of(List.of(sheet), new Rule(1, 0, 3, List.of(50.0, 65.0)));
        assertEquals(
                why == null ? List.of() : List.of(why),
                drawn.stream().map(Sample.SampledSheet::why).toList());
    }
}
