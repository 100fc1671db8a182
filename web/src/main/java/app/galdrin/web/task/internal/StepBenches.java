package app.galdrin.web.task.internal;

import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKinds;
import app.galdrin.web.task.StepBench;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** Views of all kinds of step on the bench. */
@Component
class StepBenches {

    private final Map<String, StepBench> byKind;

    StepBenches(List<StepBench> benches) {
        this.byKind = StepKinds.oneEach("benches", benches, StepBench::kind);
    }

    /** Returns that of a step's kind. */
    StepBench of(Step step) {
        return Objects.requireNonNull(byKind.get(step.kind()));
    }
}
