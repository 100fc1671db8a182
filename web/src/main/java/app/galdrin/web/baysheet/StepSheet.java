package app.galdrin.web.baysheet;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Step;
import java.util.Optional;

/**
 * View of a kind of step on the sheet. There is one for every kind, a bean; its fragments {@code sheet}, {@code panel} and
 * {@code follows} are in {@code templates/baysheet/step/<kind>.html}.
 */
public interface StepSheet {

    /** Returns the key of its kind. */
    String kind();

    /** Makes the view of a step. */
    StepView view(Step step, StepView.Head head, WrittenSheet written);

    /** Returns whether practice mode says at once what the marks of it will say. */
    default boolean speaksAtOnce() {
        return false;
    }

    /** Returns whether the panel lists what was struck out; a table of readings shows it where it was read. */
    default boolean listsStruck() {
        return true;
    }

    /** Returns the unit in which an entry on a line is echoed, where the task says in which it is answered. */
    default Optional<AnswerUnit> echoUnit(Step step, LineKey line) {
        return Optional.empty();
    }
}
