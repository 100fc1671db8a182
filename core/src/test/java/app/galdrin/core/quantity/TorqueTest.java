package app.galdrin.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Torques as the trade writes them. */
class TorqueTest {

    @ParameterizedTest
    @CsvSource({
        "45, 45",
        "45 N·m, 45",
        "'4,5 kgf·m', 44.129925",
        "45Nm, 45",
        "33 lbf·ft, 44.741992",
        "33 ft lb, 44.741992",
        "33 lbf-ft, 44.741992",
        "400 lbf in, 45.193932",
        "400 in.lb, 45.193932",
        "1250 nm, 1250",
    })
    void units(String text, double newtonMetres) {
        assertEquals(newtonMetres, Torque.parse(text).orElseThrow(), 1e-6);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "Nm", "4 5 Nm", "1,250 Nm", "-45", "45 stone", "45 N", "45..5", "1e3", "45 Nm 5"})
    void whatIsNone(String text) {
        assertEquals(OptionalDouble.empty(), Torque.parse(text));
    }
}
