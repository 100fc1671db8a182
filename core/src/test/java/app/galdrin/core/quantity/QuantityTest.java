package app.galdrin.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Keyed;
import app.galdrin.core.Seeds;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class QuantityTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'   '|EMPTY",
                "abc|NOT_A_FIGURE",
                "NaN|NOT_A_FIGURE",
                "5.|NOT_A_FIGURE",
                "--5|NOT_A_FIGURE",
                "3/ 0|ZERO_DENOMINATOR",
                "3 / x|NOT_A_FIGURE",
                "1 16/16|IMPROPER_MIXED",
                "1,417|THOUSANDS_COMMA",
                "5 deg|WRONG_UNIT",
                "5°|WRONG_UNIT",
                "5 cm|LEFT_OVER",
                "5 mm mm|LEFT_OVER",
                "1 2|LEFT_OVER",
                "1-|LEFT_OVER",
                "1.5' 2\"|LEFT_OVER",
                "5' 12\"|SIXTY_OR_MORE",
                "5\" 3'|LEFT_OVER",
                "5' x|NOT_A_FIGURE",
                "1234567|TOO_LARGE",
            })
    void text_thatIsNoLength_saysWhy(String text, TextFault reason) {
        var rejected =
                assertInstanceOf(QuantityText.Rejection.class, QuantityParser.parse(text, Quantity.LENGTH, Unit.MM));
        assertEquals(reason, rejected.reason());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12,50|12.5|0.01",
                "+ .5|0.5|0.1",
                "1 3/16\"|30.1625|1.5875",
                "3 / 32 IN|2.38125|0.79375",
                "5' 1/2\"|1536.7|12.7",
                "17/16\"|26.9875|1.5875",
            })
    void length_hasItsValueAndTheStepItWasWrittenTo(String text, double value, double step) {
        var read = assertInstanceOf(
                QuantityText.ParsedQuantity.class, QuantityParser.parse(text, Quantity.LENGTH, Unit.MM));
        assertEquals(value, read.value(), 1e-12);
        assertEquals(step, read.step(), 1e-12);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"0°26'|0.433333333333|0.016666666667", "24'30\"|0.408333333333|0.000277777778", "1°|1|1"})
    void angle_hasItsValueAndTheStepItWasWrittenTo(String text, double value, double step) {
        var read = assertInstanceOf(
                QuantityText.ParsedQuantity.class, QuantityParser.parse(text, Quantity.ANGLE, Unit.DEG));
        assertEquals(value, read.value(), 1e-11);
        assertEquals(step, read.step(), 1e-11);
    }

    @ParameterizedTest
    @CsvSource({"30\",WRONG_UNIT", "1°30\",LEFT_OVER", "1°75',SIXTY_OR_MORE"})
    void text_thatIsNoAngle_saysWhy(String text, TextFault reason) {
        var rejected =
                assertInstanceOf(QuantityText.Rejection.class, QuantityParser.parse(text, Quantity.ANGLE, Unit.DEG));
        assertEquals(reason, rejected.reason());
    }

    @Test
    void figuresOfThousandsOfDigits_neitherOverflowNorHang() {
        String nines = "9".repeat(5000);
        var read = assertInstanceOf(
                QuantityText.ParsedQuantity.class, QuantityParser.parse(nines + "/" + nines, Quantity.LENGTH, Unit.MM));
        assertEquals(1, read.value(), 1e-12);
        assertInstanceOf(QuantityText.Rejection.class, QuantityParser.parse(nines, Quantity.LENGTH, Unit.MM));
        assertEquals(
                0,
                assertInstanceOf(
                                QuantityText.ParsedQuantity.class,
                                QuantityParser.parse("0/" + nines, Quantity.LENGTH, Unit.MM))
                        .value());
    }

    @Test
    void defaultUnitOfAnotherQuantity_isTheCallersDefect() {
        assertThrows(IllegalArgumentException.class, () -> QuantityParser.parse("1", Quantity.LENGTH, Unit.DEG));
    }

    @ParameterizedTest
    @CsvSource({
        "0.995,1°00′",
        "-0.43,−0°26′",
        "-0.004,0°00′",
        "2.5,+2°30′",
    })
    void degreesMinutes_rollOver(double degrees, String text) {
        assertEquals(text, QuantityFormat.degreesMinutes(degrees, text.startsWith("+")));
    }

    @ParameterizedTest
    @CsvSource({
        "30.1625,16,1 3/16″",
        "-25.4,16,−1″",
        "12.7,32,1/2″",
        "0.1,16,0″ +0.10 mm",
        "50.7,16,2″ −0.10 mm",
        "-50.7,32,−2″ +0.10 mm",
        "30.166,1,30.17 mm",
    })
    void lengths_areShownAsTheCentreWants_withWhatAFractionLeavesOver(double mm, int parts, String text) {
        String key = parts == 1 ? "mm" : "in" + parts;
        String shown = Keyed.of(LengthDisplay.values(), key).show(mm);
        assertEquals(text, shown.replace('\u00a0', ' '));
        assertTrue(Keyed.find(LengthDisplay.values(), "cubit").isEmpty());
    }

    @ParameterizedTest
    @CsvSource({
        "deg, -0.155, −0.16°, 0.155°",
        "deg, 0.3557, +0.36°, 0.356°",
        "deg, 0.3, +0.30°, 0.30°",
        "degMin, -0.35, −0°21′, 0°21′",
        "degMin, 1.9999, +2°00′, 2°00′",
        "degMin, 0.3557, +0°21′, 0°21.3′",
        "degMin, 3.0833, +3°05′, 3°05′",
        "degMin, 0, 0°00′, 0°00′",
    })
    void angles_areShownAsTheCentreWants(String key, double degrees, String figure, String reading) {
        AngleDisplay display = Keyed.of(AngleDisplay.values(), key);
        assertEquals(figure, display.show(degrees, true));
        assertEquals(reading, display.reading(Math.abs(degrees)));
    }

    @ParameterizedTest
    @CsvSource({
        "45, N·m, 45",
        "45 N·m, N·m, 45",
        "45, lbf·ft, 61.011808",
        "'4,5 kgf·m', N·m, 44.129925",
        "45Nm, N·m, 45",
        "70 lbf·ft, N·m, 94.907256",
        "33 ft lb, N·m, 44.741992",
        "33 lbf-ft, N·m, 44.741992",
        "62 1/2 ft-lb, N·m, 84.738621",
        "840 lbf·in, N·m, 94.907256",
        "400 in.lb, N·m, 45.193932",
        "1250 nm, N·m, 1250",
        "2.4 bar, kPa, 240",
        "'2,4', bar, 240",
        "35 psi, kPa, 241.316505",
        "240 kPa, psi, 240",
    })
    void torqueAndPressure_inTheUnitsOfTheWorkshop(String text, String defaultUnit, double value) {
        Unit unit = Unit.ofKey(defaultUnit).orElseThrow();
        assertEquals(value, readBack(text, unit.quantity(), unit), 1e-6);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "torque|Nm|NOT_A_FIGURE",
                "torque|4 5 Nm|LEFT_OVER",
                "torque|1,250 Nm|THOUSANDS_COMMA",
                "torque|45 stone|LEFT_OVER",
                "torque|45 N|LEFT_OVER",
                "torque|45 N·|LEFT_OVER",
                "torque|45..5|NOT_A_FIGURE",
                "torque|45 Nm 5|LEFT_OVER",
                "torque|45 bar|WRONG_UNIT",
                "torque|45°|WRONG_UNIT",
                "pressure|35 lbf ft|LEFT_OVER",
                "pressure|2.4 bar g|LEFT_OVER",
                "pressure|35 mm|WRONG_UNIT",
            })
    void whatIsNoTorqueAndNoPressure(String quantity, String text, TextFault fault) {
        Unit unit = quantity.equals("torque") ? Unit.NEWTON_METRE : Unit.BAR;
        var read =
                assertInstanceOf(QuantityText.Rejection.class, QuantityParser.parse(text, unit.quantity(), unit), text);
        assertEquals(fault, read.reason());
    }

    @Test
    void aDoubt_isInDegreesOrInMinutesAlone() {
        assertEquals("0.042°", AngleDisplay.DEGREES.doubt(0.0416));
        assertEquals("2.5′", AngleDisplay.DEGREES_MINUTES.doubt(0.0416));
    }

    static LongStream seeds() {
        return Seeds.some();
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void whatIsDisplayed_isReadBackAsTheSame(long seed) {
        var random = Seeds.generator(seed);
        double length = Math.rint(Seeds.between(random, -3000, 3000) * 100) / 100;
        assertEquals(length, readBack(QuantityFormat.length(length), Quantity.LENGTH, Unit.MM), 1e-9);
        assertEquals(length, readBack(QuantityFormat.decimal(length, 2, true), Quantity.LENGTH, Unit.MM), 1e-9);
        double sixteenths = Math.rint(length) * 25.4 / 16;
        assertEquals(
                sixteenths, readBack(QuantityFormat.inches(sixteenths, 16).fraction(), Quantity.LENGTH, Unit.MM), 1e-9);
        double any = Seeds.between(random, -3000, 3000);
        for (int parts : new int[] {16, 32}) {
            var inches = QuantityFormat.inches(any, parts);
            double shown = readBack(inches.fraction(), Quantity.LENGTH, Unit.MM);
            assertEquals(any, shown + inches.residue(), 1e-9);
            assertTrue(Math.abs(inches.residue()) <= 25.4 / parts / 2 + 1e-9);
        }
        double minutes = Math.rint(length) / 60;
        assertEquals(minutes, readBack(QuantityFormat.degreesMinutes(minutes, true), Quantity.ANGLE, Unit.DEG), 1e-9);
    }

    private static double readBack(String text, Quantity quantity, Unit unit) {
        return assertInstanceOf(QuantityText.ParsedQuantity.class, QuantityParser.parse(text, quantity, unit), text)
                .value();
    }
}
