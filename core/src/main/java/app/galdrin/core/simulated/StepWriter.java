package app.galdrin.core.simulated;

import app.galdrin.core.procedure.Truth;
import app.galdrin.core.task.Step;

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
}
