package app.galdrin.core.procedure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.paper.PrintedFigures;
import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Step;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PrintedFiguresTest {

    private static final PrintedFigures.Rounding HUNDREDTHS =
            (value, figure) -> Math.toRadians(AngleDisplay.DEGREES.rounded(Math.toDegrees(value)));

    private static final PrintedFigures.Rounding MINUTES =
            (value, figure) -> Math.toRadians(AngleDisplay.DEGREES_MINUTES.rounded(Math.toDegrees(value)));

    @ParameterizedTest(name = "{0} and {1}: {2} {3}")
    @CsvSource({
        // the total would round to −0.14 by itself
        "-0.054, -0.083, totalToe.front, -0.13",
        "0.054, 0.083, totalToe.front, 0.13",
        "-0.054, 0.083, camberDifference.front, -0.13",
        "0.126, 0.126, totalToe.front, 0.26",
        "0.126, -0.126, totalToe.front, 0",
    })
    void aTotal_isMadeOfThePrintedWheels(double left, double right, String figure, double printed) {
        Map<FigureId, Double> values = new LinkedHashMap<>();
        values.put(id(figure), Math.toRadians(figure.startsWith("total") ? left + right : left - right));
        values.put(Derivation.parts(id(figure)).get(0), Math.toRadians(left));
        values.put(Derivation.parts(id(figure)).get(1), Math.toRadians(right));
        Map<FigureId, Double> shown = PrintedFigures.of(values, HUNDREDTHS);
        assertEquals(printed, Math.toDegrees(shown.get(id(figure))), 1e-12);
        assertEquals(values.keySet().toString(), shown.keySet().toString(), "the order of the page");
    }

    @Test
    void aTotalWithOneWheelBesideIt_isRoundedByItself() {
        Map<FigureId, Double> values = new LinkedHashMap<>();
        values.put(id("toe.front.left"), Math.toRadians(-0.054));
        values.put(id("totalToe.front"), Math.toRadians(-0.137));
        assertEquals(-0.14, Math.toDegrees(PrintedFigures.of(values, HUNDREDTHS).get(id("totalToe.front"))), 1e-12);
    }

    @Test
    void minutes_addUpAsMinutes() {
        Map<FigureId, Double> values = new LinkedHashMap<>();
        values.put(id("toe.front.left"), Math.toRadians(3.4 / 60));
        values.put(id("toe.front.right"), Math.toRadians(-7.4 / 60));
        values.put(id("totalToe.front"), Math.toRadians(-4.0 / 60));
        Map<FigureId, Double> shown = PrintedFigures.of(values, MINUTES);
        assertEquals(-4, 60 * Math.toDegrees(shown.get(id("totalToe.front"))), 1e-9);
        assertEquals(-7, 60 * Math.toDegrees(shown.get(id("toe.front.right"))), 1e-9);
    }

    @Test
    void theLastStepOfACalculation_addsUpWhatStandsInIt_andNoOtherStepDoes() {
        Step sum = Step.of(Derivation.of(id("totalToe.front")).orElseThrow().formula())
                .with("toe.front.left", FieldUnit.ANGLE, Math.toRadians(-0.054))
                .with("toe.front.right", FieldUnit.ANGLE, Math.toRadians(-0.083))
                .gives("totalToe.front", FieldUnit.ANGLE, Math.toRadians(-0.137));
        assertEquals(
                -0.13, Math.toDegrees(PrintedFigures.result(sum, HUNDREDTHS).orElseThrow()), 1e-12);
        Step other = new Step(Formula.of("toe.across.total"), sum.in(), sum.out());
        assertTrue(PrintedFigures.result(other, HUNDREDTHS).isEmpty());
    }

    private static FigureId id(String key) {
        return FigureId.parse(key).orElseThrow();
    }
}
