package app.galdrin.core.marking.written;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.StringWriter;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;

class DecimalsTest {

    private static String written(double number) {
        var out = new StringWriter();
        try (JsonGenerator json = new JsonFactory().createGenerator(ObjectWriteContext.empty(), out)) {
            new Decimals(json).write(number);
        }
        return out.toString();
    }

    @ParameterizedTest
    @CsvSource({
        "0,0.0",
        "-0.0,0.0",
        "1,1.0",
        "-1,-1.0",
        "70.5,70.5",
        "-0.4,-0.4",
        "10,10.0",
        "0.024999999999999984,0.025",
        "0.000000001,0.000000001",
        "0.00000000049,0.0",
        "-0.00000000049,0.0",
        "0.0000000005,0.000000001",
        "3.119488269692539,3.11948827",
        "999999999.999999999,1.0E9",
        "999999999.9,999999999.9",
        "-1e12,-1.0E12",
        "NaN,\"NaN\""
    })
    void aFigure_hasNinePlacesAndNoNeedlessNought(double number, String text) {
        assertEquals(text, written(number));
    }

    @Test
    void whatIsWritten_isReadAsTheSameToNinePlaces() {
        var random = new SplittableRandom(7);
        for (int i = 0; i < 10_000; i++) {
            double number = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(-9, 7));
            String text = written(number);
            assertEquals(number, Double.parseDouble(text), 0.5e-9 + Math.ulp(number), "seed 7, " + i);
            assertEquals(text, written(Double.parseDouble(text)), "seed 7, " + i);
        }
    }
}
