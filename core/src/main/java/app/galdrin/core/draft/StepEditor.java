package app.galdrin.core.draft;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskFault;
import java.util.List;
import java.util.Optional;

/** Editor of a kind of step. There is one for every kind, registered as a service. */
public interface StepEditor {

    /** Returns the key of its kind. */
    String kind();

    /**
     * A ready-made step of the kind.
     *
     * @param key names it among all that can be added
     * @param id of the step; a number follows it where it is taken
     * @param label key of its words
     */
    record Addition(String key, String id, String label) {}

    /** Returns what of this kind can be added. */
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

    /** Returns the step with what was answered in the usual unit answered in another. */
    default Step answeredIn(Step step, AnswerUnit before, AnswerUnit unit) {
        return step;
    }

    /** Returns the turn that a school gives a step among others of its kind; empty where it says nothing. */
    default Optional<Integer> turn(Step step, OrderSchool school) {
        return Optional.empty();
    }

    /** Returns the press that mends a fault of a step, where the kind knows one. */
    default Optional<Mend> mend(Step step, TaskFault fault, SpecificationSheet sheet) {
        return Optional.empty();
    }

    /** Returns the step as it follows from those before it: what they do not give any more is dropped, what is new is taken in. */
    default Step following(Step step, DraftSetting setting) {
        return step;
    }
}
