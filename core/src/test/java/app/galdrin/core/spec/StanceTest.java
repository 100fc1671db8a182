package app.galdrin.core.spec;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How a vehicle stands on its springs, and what a measurement asks of it. */
class StanceTest {

    private static Stance stance(String height, String load) {
        return new Stance(stated(height), stated(load));
    }

    private static OptionalDouble stated(String said) {
        return said.equals("-") ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(said));
    }

    @ParameterizedTest
    @CsvSource({"-, -, -, -, -, -", "-, -, 372, 150, 372, 150", "350, -, 372, 150, 350, 150", "350, 0, 372, 150, 350, 0"
    })
    void whatAStanceDoesNotSay_anotherSays(
            String height, String load, String otherHeight, String otherLoad, String thenHeight, String thenLoad) {
        assertEquals(stance(thenHeight, thenLoad), stance(height, load).or(stance(otherHeight, otherLoad)));
    }

    @ParameterizedTest
    @CsvSource({
        "-, -, -, -, true",
        "-, -, 372, 150, true",
        "372, -, 372, 90, true",
        "372, -, 375, -, true",
        "372, -, 375.5, -, false",
        "372, -, 368.5, -, false",
        "372, -, -, 150, false",
        "372, 150, 372, 155, true",
        "372, 150, 372, 156, false",
        "-, 0, -, -, false",
        "-, 0, 400, 0, true"
    })
    void aStance_isMet_whereAllItAsksForIsThere(
            String height, String load, String isHeight, String isLoad, boolean met) {
        assertEquals(met, stance(height, load).isMetBy(stance(isHeight, isLoad)));
        assertEquals(
                height.equals("-") && load.equals("-"), stance(height, load).isAny());
    }
}
