package app.galdrin.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SpreadsheetTextTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "=1+1",
                "+1+cmd|'/c calc'!A0",
                "-2+3",
                "-",
                "@sum(1)",
                "\t=1",
                "\uFF1D1",
                "\uFF0B1+1",
                "-1 mm=2",
                "+HYPERLINK(\"x\")"
            })
    void whatBeginsLikeAFormula_isText(String text) {
        assertEquals(" " + text, SpreadsheetText.harmless(text));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "Quendle",
                "a=b",
                "-0.15",
                "+1,5",
                "-0°10'",
                "-1 3/16",
                "-1-3/16",
                "-0.5 mm",
                "-.5",
                "MW 088 B"
            })
    void figuresAndNames_stayAsTheyAre(String text) {
        assertEquals(text, SpreadsheetText.harmless(text));
    }
}
