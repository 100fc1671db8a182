package app.galdrin.core.simulated;

import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKinds;
import java.util.Map;
import java.util.Objects;
import java.util.ServiceLoader;

/** The writers of all kinds of step. */
final class StepWriters {

    private static final Map<String, StepWriter> BY_KIND = StepKinds.oneEach(
            "writers",
            ServiceLoader.load(StepWriter.class, StepWriter.class.getClassLoader()).stream()
                    .map(ServiceLoader.Provider::get)
                    .toList(),
            StepWriter::kind);

    private StepWriters() {}

    /** Returns the writer of a step's kind. */
    static StepWriter of(Step step) {
        return Objects.requireNonNull(BY_KIND.get(step.kind()));
    }
}
