package app.galdrin.core.simulated;

import app.galdrin.core.procedure.Truth;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Step;
import java.util.List;

/** Writer of a kind of step for a simulated apprentice. There is one for every kind, registered as a service. */
public interface StepWriter {

    /** Returns the key of its kind. */
    String kind();

    /**
     * Writes a step.
     *
     * @param habit what goes wrong
     * @param found the vehicle as it is found
     * @param left the vehicle as it is left
     */
    void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left);

    /** Draws what goes wrong in a step. */
    default void draw(Step step, HabitDraw draw) {}

    /** Returns the slips that can be made in a step and that its marks name on one vehicle or another; none where one alone may always be chance. */
    default List<ProvokedSlip> slips(Step step, Assignment assignment) {
        return List.of();
    }
}
