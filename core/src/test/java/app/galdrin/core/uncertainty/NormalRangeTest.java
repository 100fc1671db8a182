package app.galdrin.core.uncertainty;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NormalRangeTest {

    /** Upper points of the range of normal results, as tables have them; of two results it is √2 times the normal's. */
    @ParameterizedTest
    @CsvSource({
        "2,0.95,2.772",
        "2,0.975,3.170",
        "3,0.95,3.314",
        "3,0.99,4.120",
        "4,0.95,3.633",
        "5,0.95,3.858",
        "5,0.99,4.603",
        "10,0.95,4.474",
        "1,0.95,0"
    })
    void quantiles_areThoseOfTheTables(int results, double within, double range) {
        assertEquals(range, NormalRange.quantile(results, within), 5e-4);
    }
}
