package app.galdrin.web.layout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Nothing typed fills a log, or writes a line of its own into it. */
class LogTextTest {

    @ParameterizedTest
    @CsvSource({"toe, toe", "'a\nb', a?b", "a\u2028b\u200Bc, a?b?c", "'\u001B[31m', ?[31m"})
    void whatNobodySees_isNotWritten(String typed, String logged) {
        assertEquals(logged, LogText.of(typed));
    }

    @Test
    void aLongText_isCutShort_alsoWhereNothingWasFound() {
        assertEquals(40, LogText.of("x".repeat(3_000_000)).length());
        String message = new NotThere("flag", "y".repeat(3_000_000), "nobody").getMessage();
        assertTrue(message.length() < 80, message::toString);
    }
}
