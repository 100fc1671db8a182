package app.galdrin.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;

import app.galdrin.core.quantity.Calculation.Fault;
import app.galdrin.core.quantity.Calculation.Result;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/** The cases are those that the script of the bay sheet is held to as well. */
class CalculationTest {

    @ParameterizedTest(name = "{0} gives {1}")
    @CsvFileSource(resources = "/calculations.csv", useHeadersInDisplayName = false, delimiter = ';')
    void aLine_isWorked(String line, String gives) {
        Result result = Calculation.work(line);
        if (gives.matches("-?[0-9.]+")) {
            assertEquals(Double.parseDouble(gives), value(result), 1e-6);
        } else {
            assertEquals(
                    gives,
                    assertInstanceOf(Result.Failure.class, result).fault().key());
        }
    }

    @Test
    void whatIsTooLongOrTooDeep_isRefused_andNothingElseIsThrown() {
        assertEquals(new Result.Failure(Fault.TOO_LONG), Calculation.work("1".repeat(Calculation.LONGEST + 1)));
        assertEquals(new Result.Failure(Fault.MALFORMED), Calculation.work("(".repeat(Calculation.LONGEST)));
        var random = new SplittableRandom(7);
        String letters = "0123456789.,+-*/() °'sincotaqr\u2212\u00d7\u221a";
        for (int i = 0; i < 20_000; i++) {
            var line = new StringBuilder();
            for (int n = random.nextInt(14); n >= 0; n--) {
                line.append(letters.charAt(random.nextInt(letters.length())));
            }
            Calculation.work(line.toString()); // gives a result, whatever stands there
        }
    }

    private static double value(Result result) {
        return assertInstanceOf(Result.Value.class, result).value();
    }
}
