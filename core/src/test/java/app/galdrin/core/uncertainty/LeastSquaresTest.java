package app.galdrin.core.uncertainty;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The limit of the condition, where the quick bound decides and where the singular values must. */
class LeastSquaresTest {

    @ParameterizedTest
    @CsvSource({
        // singular values of A, limit, above it
        "1, 1, 1e8, false",
        "1, 1e-4, 1e8, false",
        "3, 1, 2.9, true",
        "3, 1, 3.1, false",
        "1, 1e-8, 1.0001e8, false",
        "1, 1e-8, 0.9999e8, true",
        "1, 1e-8, 0.4e8, true",
        "1, 1e-12, 1e8, true",
        "1, 0, 1e8, true",
        "0, 0, 1e8, true"
    })
    void condition_isThatOfTheSingularValues(double first, double second, double limit, boolean above) {
        double c = Math.cos(0.7);
        double s = Math.sin(0.7);
        double[][] rows = {{first * c, first * s}, {-second * s, second * c}, {0, 0}};
        assertEquals(above, LeastSquares.of(rows, new double[3]).isConditionAbove(limit));
    }
}
