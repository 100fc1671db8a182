package app.galdrin.core.reference;

import app.galdrin.core.uncertainty.Estimate;
import java.util.List;

/**
 * Value of a figure of a state, from everybody who read it but for those who were left out.
 *
 * @param value rad or mm
 * @param parts what it rests on, the readings of the state itself first
 * @param agrees whether the parts lie no farther apart than their doubts explain
 * @param isInstructors whether it rests on an instructor's reading, also by way of moves that are an instructor's word
 * @param others how many people or pairs it rests on whose parts agree with it, an instructor not among them
 */
public record ReferenceValue(
        Estimate value, List<ReferencePart> parts, boolean agrees, boolean isInstructors, int others) {

    /** Apprentices who may agree on a figure by chance or by the same slip; more than these do not. */
    public static final int ENOUGH_OTHERS = 3;

    public ReferenceValue {
        parts = List.copyOf(parts);
    }

    /** Returns whether it may cost anybody marks: it rests on an instructor's reading, or on enough people who agree. */
    public boolean mayCostMarks() {
        return isInstructors || others >= ENOUGH_OTHERS;
    }
}
