package app.galdrin.core.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Reason;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What an instructor types in one field of the bench and means more than one number by. */
class DraftTextsTest {

    private static final BandText LENGTH = new BandText(Quantity.LENGTH);
    private static final BandText ANGLE = new BandText(Quantity.ANGLE);

    /** Read and written as it would be typed. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1.5|1.5|4.5",
                "1,5 ; 300|1.500; 300.000|300",
                "1/8\"; 5|3.175; 5.000|5",
                "1.5; 3 60%; 4.5  30 %|1.500; 3.000 60 %; 4.500 30 %|4.5",
                "1.5; 3 60 %|1.500; 3.000 60 %|3",
                "100|100.000|300",
                "0.01|0.010|0.03",
            })
    void aBand_isAloneOrWithWhereThereIsNone_orInSteps(String typed, String written, double none) {
        Band band = LENGTH.read(typed).orElseThrow();
        assertEquals(none, band.none(), 1e-9);
        assertEquals(written.equals("1.5") ? "1.500" : written, LENGTH.write(band));
        assertEquals(Optional.of(band), LENGTH.read(LENGTH.write(band)));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                ";",
                "1.5;",
                "0",
                "101",
                "1.5; 301",
                "1.5; 1.5",
                "1.5; 1",
                "1.5 60 %",
                "1.5 60 %; 3",
                "1.5; 3; 4.5",
                "1.5; 3 60 %; 4.5 60 %",
                "1.5; 3 60 %; 3 30 %",
                "1.5; 3 60 %; 4",
                "1.5; 3 0 %",
                "1.5; 3 100 %",
                "0.5°",
                "1.5; 2 90 %; 3 80 %; 4 70 %; 5 60 %; 6 50 %; 7 40 %"
            })
    void whatIsNoBand_isNotRead(String typed) {
        assertEquals(Optional.empty(), LENGTH.read(typed));
    }

    @Test
    void anAngle_isKeptInRadians() {
        Band band = ANGLE.read("0°06'; 0.2 50%").orElseThrow();
        assertEquals(Math.toRadians(0.1), band.full(), 1e-12);
        assertEquals(List.of(new Band.Step(Math.toRadians(0.2), 50)), band.steps());
        assertEquals("0.100; 0.200 50 %", ANGLE.write(band));
        assertEquals(Optional.empty(), ANGLE.read("5.1"));
        assertEquals(Optional.empty(), ANGLE.read("0.0005"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "fall or drop, rust|fall or drop, rust",
                "  fall   or drop ,rust|fall or drop, rust",
                "|",
                "for ever|for ever",
                "a,b,c,d,e,f,g,h|a, b, c, d, e, f, g, h",
            })
    void reasons_arePartedByCommas_andTheirWordsByOr(@Nullable String typed, @Nullable String written) {
        List<Reason> read = ReasonsText.read(typed == null ? "" : typed).orElseThrow();
        assertEquals(written == null ? "" : written, ReasonsText.write(read));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "fall,,rust",
                "fall or ",
                "or",
                "fall,",
                "a or b or c or d or e or f or g or h or i",
                "a,b,c,d,e,f,g,h,i",
                "abcdefghijklmnopqrstuvwxyzabcde"
            })
    void whatAreNoReasons_isNotRead(String typed) {
        assertEquals(Optional.empty(), ReasonsText.read(typed));
    }
}
