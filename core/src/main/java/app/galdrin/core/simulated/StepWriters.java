package app.galdrin.core.simulated;

import app.galdrin.core.procedure.Truth;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKinds;
import java.util.Map;
import java.util.Objects;
import java.util.ServiceLoader;

/** Writes sheets for a simulated apprentice, each step by the writer of its kind. */
public final class StepWriters {

    private static final Map<String, StepWriter> BY_KIND = StepKinds.oneEach(
            "writers",
            ServiceLoader.load(StepWriter.class, StepWriter.class.getClassLoader()).stream()
                    .map(ServiceLoader.Provider::get)
                    .toList(),
            StepWriter::kind);

    private StepWriters() {}

    /**
     * Writes the whole sheet, from preparing to handing in.
     *
     * @param habit what goes wrong
     * @param found the vehicle as it is found
     * @param left the vehicle as it is left
     */
    public static void writeAll(Apprentice apprentice, Habit habit, Truth found, Truth left) {
        apprentice.practical().steps().forEach(step -> write(step, apprentice, habit, found, left));
    }

    /**
     * Writes one step.
     *
     * @param habit what goes wrong
     * @param found the vehicle as it is found
     * @param left the vehicle as it is left
     */
    public static void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        of(step).write(step, apprentice, habit, found, left);
    }

    /** Returns the writer of a step's kind. */
    static StepWriter of(Step step) {
        return Objects.requireNonNull(BY_KIND.get(step.kind()));
    }
}
