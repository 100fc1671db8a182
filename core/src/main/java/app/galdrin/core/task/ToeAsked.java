package app.galdrin.core.task;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.ToeMethod;
import java.util.List;

/** What a toe task wants to know. */
public enum ToeAsked {
    TOTAL("total", List.of(Asked.TOTAL)),
    TOTAL_AND_EACH("totalAndEach", List.of(Asked.TOTAL, Asked.LEFT, Asked.RIGHT));

    private final String key;
    private final List<Asked> figures;

    ToeAsked(String key, List<Asked> figures) {
        this.key = key;
        this.figures = figures;
    }

    public String key() {
        return key;
    }

    public List<Asked> figures() {
        return figures;
    }

    /** Whether a method can tell everything that is asked. */
    public boolean answeredBy(ToeMethod method) {
        return method.answers().containsAll(figures);
    }
}
