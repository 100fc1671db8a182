package app.galdrin.web.task;

import app.galdrin.core.task.Step;

/**
 * View of a kind of step on the bench. There is one for every kind, a bean; its fragments {@code edit} and {@code preview} are in
 * {@code templates/task/step/<kind>.html}, where {@code s} is the step and {@code b} what is made here.
 */
public interface StepBench {

    /** Returns the key of its kind. */
    String kind();

    /** Makes what its fragments show beside the step itself. */
    default Object view(Step step, BenchDraft draft) {
        return step;
    }
}
