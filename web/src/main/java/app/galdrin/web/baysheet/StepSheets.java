package app.galdrin.web.baysheet;

import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKinds;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** Views of all kinds of step on the sheet. */
@Component
public class StepSheets {

    private final Map<String, StepSheet> byKind;

    StepSheets(List<StepSheet> sheets) {
        this.byKind = StepKinds.oneEach("sheets", sheets, StepSheet::kind);
    }

    /** Returns that of a step's kind. */
    public StepSheet of(Step step) {
        return Objects.requireNonNull(byKind.get(step.kind()));
    }
}
