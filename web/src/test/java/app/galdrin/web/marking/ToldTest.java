package app.galdrin.web.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.web.marking.Told.Slipped;
import java.util.List;
import org.junit.jupiter.api.Test;

class ToldTest {

    private static final Slipped SIGN = new Slipped("sign", List.of("A gap is no span."), "signs");
    private static final Slipped UNIT = new Slipped("unit", List.of("An inch is 25.4 mm."), "units");

    private static Told wrong(String wheel, Slipped... by) {
        return Told.of(wheel, false, "wrong").slipped(List.of(by));
    }

    @Test
    void aSlip_isExplainedWhereItStandsFirst_andNamedAfterThat() {
        var named = new Slipped("sign", List.of(), "");
        List<Told> told = Told.explainedOnce(List.of(
                wrong("left", SIGN),
                Told.missing("rear", "not written"),
                wrong("right", SIGN),
                wrong("total", SIGN, UNIT), // of several none is explained
                wrong("camber", UNIT)));
        assertEquals(
                List.of(List.of(SIGN), List.of(), List.of(named), List.of(SIGN, UNIT), List.of(UNIT)),
                told.stream().map(Told::slips).toList());
        assertEquals("right", told.get(2).head());
    }
}
