package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.web.marking.EvidenceText;
import app.galdrin.web.sitting.Tape;
import java.util.List;

/**
 * A line of the mark sheet with its evidence said.
 *
 * @param tape what was calculated beside the figures that it is about
 */
record LineView(MarkLine line, String name, List<EvidenceText> texts, List<Tape.Line> tape) {

    public String key() {
        return line.criterion().key();
    }

    /** Returns the id of the element. */
    public String anchor() {
        return key().replace('.', '-');
    }
}
