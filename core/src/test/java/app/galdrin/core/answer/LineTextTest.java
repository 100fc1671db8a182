package app.galdrin.core.answer;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.Choice;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.TextFault;
import app.galdrin.core.quantity.Unit;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LineTextTest {

    private static final Amount GAP = new Amount(Quantity.LENGTH, Unit.MM, 0, 1000);
    private static final Amount WORKED = new Amount(Quantity.ANGLE, Unit.DEG, -30, 30);
    private static final Amount TAPE = new Amount(Quantity.LENGTH, Unit.MM, 500, 3500);
    private static final Amount TURNS = new Amount(Quantity.COUNT, Unit.TURNS, 0, 20);
    private static final Amount LEAN = new Amount(Quantity.ANGLE, Unit.DEG, 0, 15);
    private static final SizeAndSense CAMBER = new SizeAndSense(LEAN, List.of(Sense.TOP_OUT, Sense.TOP_IN), Side.RIGHT);
    private static final Choice VERDICT = new Choice("verdict", List.of("inside", "outside", "tooClose"));

    private static AnswerType type(String name) {
        return switch (name) {
            case "gap" -> GAP;
            case "worked" -> WORKED;
            case "tape" -> TAPE;
            case "turns" -> TURNS;
            case "flats" -> new Amount(Quantity.COUNT, Unit.FLATS, 0, 60);
            case "camber" -> CAMBER;
            case "verdict" -> VERDICT;
            case "short" -> new AnswerType.ShortText(5);
            default -> new AnswerType.Tick();
        };
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "gap|57.5|57.5|0.1",
                "gap|12,5|12.5|0.1",
                "gap|3 3/32\"|78.58125|0.79375",
                "worked|-0°24'|-0.4|0.0166667",
                "worked|0.43|0.43|0.01",
                "turns|1 1/4|1.25|0.25",
                "turns|3 flats|0.5|0.1666667",
                "turns|6 flats|1|0.1666667",
                "turns|1 turn|1|1",
                "turns|1/2 turns|0.5|0.5",
                "flats|3 flats|3|1",
                "flats|1 1/2 turns|9|3",
                "camber|1.15, topIn|-1.15|0.01",
                "camber|1,15, topOut|1.15|0.01",
                "camber|0, topIn|0|1",
                "tape|1904.5|1904.5|0.1",
                "gap|1000|1000|1",
                "gap|0|0|1",
                "camber|0°30', topIn|-0.5|0.0166667"
            })
    void whatPeopleWrite_isRead(String type, String text, double value, double step) {
        var read = (LineText.ParsedText) LineText.read(" " + text + " ", type(type));
        assertEquals(value, read.value().orElseThrow(), 1e-9);
        assertEquals(step, read.step().orElseThrow(), 1e-6);
        assertEquals(text.replace(",  ", ", "), read.written());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "gap|-2|NEGATIVE",
                "gap|x1|NOT_A_FIGURE",
                "gap|1,417|THOUSANDS_COMMA",
                "gap|1000.5|TOO_GREAT",
                "tape|190|TOO_SMALL",
                "worked|31|TOO_GREAT",
                "worked|-31|TOO_SMALL",
                "worked|3 mm|WRONG_UNIT",
                "turns|2 marks|WRONG_UNIT",
                "turns|3 mm|WRONG_UNIT",
                "camber|1.15|NO_SENSE",
                "camber|-1.15, topIn|SIGN_AND_SENSE",
                "camber|1.15, turnedIn|LEFT_OVER",
                "camber|16, topIn|TOO_GREAT",
                "verdict|maybe|NOT_A_CHOICE",
                "tick|yes|NOT_A_CHOICE",
                "short|longer|LONG",
                "short|''|EMPTY",
                "gap|''|EMPTY",
                "gap|1/0|ZERO_DENOMINATOR",
                "gap|1 5/4|IMPROPER_MIXED",
                "worked|0°60'|SIXTY_OR_MORE",
                "gap|9999999|TOO_LARGE",
            })
    void whatCanNotBe_isRefusedWithItsReason(String type, String text, TextFault reason) {
        var refused = (LineText.Refusal) LineText.read(text, type(type));
        assertEquals(reason, refused.reason());
        assertEquals(text.strip(), refused.typed());
        assertEquals(type(type), refused.type());
    }

    @Test
    void aRefusalOfAValue_saysWhatWasRead() {
        assertEquals(
                1000.5, ((LineText.Refusal) LineText.read("1000.5", GAP)).read().orElseThrow());
        assertEquals(
                1.15, ((LineText.Refusal) LineText.read("1.15", CAMBER)).read().orElseThrow());
        assertTrue(((LineText.Refusal) LineText.read("x", GAP)).read().isEmpty());
    }

    @Test
    void sixtyOneCharacters_areTooMany() {
        assertEquals(TextFault.LONG, ((LineText.Refusal) LineText.read("7".repeat(61), GAP)).reason());
        assertEquals(TextFault.TOO_LARGE, ((LineText.Refusal) LineText.read("7".repeat(60), GAP)).reason());
    }

    @Test
    void choicesAndTicks_standAsTheyAre() {
        assertEquals("tooClose", ((LineText.ParsedText) LineText.read("tooClose", VERDICT)).written());
        assertEquals("done", ((LineText.ParsedText) LineText.read("done", new AnswerType.Tick())).written());
        assertEquals("a bit", ((LineText.ParsedText) LineText.read("a bit", new AnswerType.ShortText(5))).written());
    }

    @ParameterizedTest
    @CsvSource({
        "TURNED_OUT,LEFT,1",
        "TURNED_OUT,RIGHT,-1",
        "TURNED_IN,LEFT,-1",
        "TURNED_IN,RIGHT,1",
        "TOP_OUT,LEFT,1",
        "TOP_OUT,RIGHT,1",
        "FALLS_RIGHT,LEFT,1",
        "FALLS_LEFT,RIGHT,-1"
    })
    void theWay_becomesTheSignBySide(Sense sense, Side side, int sign) {
        assertEquals(sign, sense.sign(side));
    }

    @Test
    void sizeAndSense_comeApartAgain() {
        assertEquals("1.15", LineText.sizeOf("1.15, topIn"));
        assertEquals(Optional.of(Sense.TOP_IN), LineText.senseOf("1.15, topIn"));
        assertEquals("1,15", LineText.sizeOf("1,15"));
        assertEquals(Optional.empty(), LineText.senseOf("1,15"));
        assertTrue(CAMBER.numeric() && GAP.numeric() && !VERDICT.numeric());
    }
}
