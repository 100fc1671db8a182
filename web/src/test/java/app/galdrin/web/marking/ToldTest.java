package app.galdrin.web.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

class ToldTest {

    private static final EvidenceText.SlipText SIGN =
            new EvidenceText.SlipText("sign", List.of("A gap is no span."), "signs");
    private static final EvidenceText.SlipText UNIT =
            new EvidenceText.SlipText("unit", List.of("An inch is 25.4 mm."), "units");

    private static EvidenceText wrong(String wheel, EvidenceText.SlipText... slips) {
        return EvidenceText.of(wheel, false, "wrong").slipped(List.of(slips));
    }

    @Test
    void aSlip_isExplainedWhereItStandsFirst_andNamedAfterThat() {
        var named = new EvidenceText.SlipText("sign", List.of(), "");
        List<EvidenceText> texts = EvidenceText.explainedOnce(List.of(
                wrong("left", SIGN),
                EvidenceText.missing("rear", "not written"),
                wrong("right", SIGN),
                wrong("total", SIGN, UNIT), // of several none is explained
                wrong("camber", UNIT)));
        assertEquals(
                List.of(List.of(SIGN), List.of(), List.of(named), List.of(SIGN, UNIT), List.of(UNIT)),
                texts.stream().map(EvidenceText::slips).toList());
        assertEquals("right", texts.get(2).head());
    }
}
