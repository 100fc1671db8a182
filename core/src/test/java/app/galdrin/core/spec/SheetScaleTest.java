package app.galdrin.core.spec;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is judged is what is printed: in the sheet's unit, rounded once, to its place. */
class SheetScaleTest {

    private static final FigureId TOTAL = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);

    private static SheetScale scale(String max, String over) {
        return SheetScale.of(new SheetLine(
                Optional.of(Axle.FRONT),
                Measurand.TOTAL_TOE,
                Optional.empty(),
                Optional.empty(),
                Adjustable.YES,
                over == null ? Map.of("max", max) : Map.of("max", max, "over", over)));
    }

    @ParameterizedTest
    @CsvSource({
        "0.25,,deg,0.2549,0.25",
        "0.25,,deg,0.2551,0.26",
        "0.25,,deg,-0.255,-0.26",
        "0°15',,degMin,0.2582,0.25",
        "0°15',,degMin,0.2584,0.2666666666666667",
        "0°15′,,degMin,0.1,0.1",
        "2 mm,416 mm,mm,0.2824,2.1",
        "2 mm,416 mm,mm,0.2822,2.0",
        "0°15',416 mm,degMin,0.26,0.2666666666666667",
    })
    void aFigure_isShownInTheUnitOfItsSheet_roundedOnce(
            String max, String over, String unit, double degrees, double shown) {
        SheetScale scale = scale(max, over);
        assertEquals(unit, scale.unit().key());
        assertEquals(
                shown,
                scale.shown(TOTAL, Estimate.exact(Math.toRadians(degrees))).value(),
                1e-9);
    }

    /** "−0.00" would be a sign that nobody read. */
    @ParameterizedTest
    @CsvSource({"0.25,", "0°15',", "2 mm,416 mm"})
    void nothing_isShownWithoutASign(String max, String over) {
        double shown = scale(max, over)
                .shown(TOTAL, Estimate.exact(Math.toRadians(-0.001)))
                .value();
        assertEquals("0.0", String.valueOf(shown));
    }

    /** On the limit as it is printed is within it, in every unit and to either side. */
    @ParameterizedTest
    @CsvSource({
        "0.25,,0.2549,true",
        "0.25,,0.2551,false",
        "0°15',,0.2582,true",
        "0°15',,0.2585,false",
        "2 mm,416 mm,0.28,true"
    })
    void theLimit_isWhereItIsPrinted(String max, String over, double degrees, boolean accepted) {
        double limit = over == null ? Math.toRadians(0.25) : 2 * Math.asin(2.0 / (2 * 416));
        var judged = scale(max, over)
                .judge(
                        TOTAL,
                        Estimate.exact(Math.toRadians(degrees)),
                        Limits.of(-limit, 0, limit),
                        DecisionRule.SIMPLE);
        assertEquals(accepted, judged.accepted());
        var mirrored = scale(max, over)
                .judge(
                        TOTAL,
                        Estimate.exact(-Math.toRadians(degrees)),
                        Limits.of(-limit, 0, limit),
                        DecisionRule.SIMPLE);
        assertEquals(accepted, mirrored.accepted(), "ties fall the same way on both sides");
    }

    /** A doubt is shown to one place more, and that is the one that counts. */
    @ParameterizedTest
    @CsvSource({"0.25,0.02504,0.05", "0.25,0.02526,0.051", "0°15',0.0251,0.05"})
    void theDoubt_isShownToOnePlaceMore(String max, double degrees, double expanded) {
        var value = new Estimate(Math.toRadians(0.1), Math.toRadians(degrees));
        assertEquals(expanded, scale(max, null).shown(TOTAL, value).expanded(), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({"deg,0.01", "degMin,0.016666666666666666", "mm,0.1"})
    void thePlaces_areThoseOfAnswers(String unit, double step) {
        assertEquals(step, Keyed.of(AnswerUnit.values(), unit).step());
    }
}
