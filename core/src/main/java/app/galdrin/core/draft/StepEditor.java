package app.galdrin.core.draft;

import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKind;
import java.util.List;

/** How a kind of step is edited. There is one for every kind, registered as a service. */
public interface StepEditor {

    StepKind kind();

    /**
     * A ready-made step of the kind.
     *
     * @param key names it among all that can be added
     * @param id of the step; a number follows it where it is taken
     * @param label key of its words
     */
    record Addition(String key, String id, String label) {}

    /** What of this kind can be added. */
    List<Addition> additions();

    /** Makes a ready-made step. */
    Step made(Addition addition, String id);

    /** Returns the turn of a step in the usual order of the work, 0 or more: it is added before the first with a later one. */
    int turn(Step step);

    /**
     * Returns the step with a field changed.
     *
     * @param field its name within the step
     * @param part what of the field, such as a figure; empty where the field is one
     * @param typed without blanks around it
     * @throws FieldRefusal where it cannot stand there
     */
    Step written(Step step, String field, String part, String typed, DraftSetting setting) throws FieldRefusal;

    /** Returns the step as it follows from those before it: what they do not give any more is dropped, what is new is taken in. */
    default Step following(Step step, DraftSetting setting) {
        return step;
    }
}
