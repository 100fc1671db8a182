package app.galdrin.core.task;

import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.List;

/**
 * A front toe practical as the core needs it.
 *
 * @param repeats how many times the readings are taken, 1 or more
 * @throws IllegalArgumentException if the method can't see what is asked
 */
public record ToeTask(
        SpecificationSheet sheet,
        ToeAsked asked,
        ToeMethod method,
        int repeats,
        AnswerUnit answerUnit,
        DecisionRule rule,
        List<ChecklistStep> checklist,
        MarkingScheme scheme) {

    /** The short preparation of the toe practicals; the two safety-critical steps concern lifting and what is underfoot. */
    public static final List<ChecklistStep> PREPARATION = List.of(
            new ChecklistStep("protection", false),
            new ChecklistStep("condition", false),
            new ChecklistStep("standsAndChocks", true),
            new ChecklistStep("wheelsOnPlates", false),
            new ChecklistStep("clearFloor", true),
            new ChecklistStep("steeringStraight", false));

    public ToeTask {
        checklist = List.copyOf(checklist);
        if (repeats < 1) {
            throw new IllegalArgumentException("repeats (" + repeats + ") must be 1 or more");
        }
        if (!method.canAnswer(asked)) {
            throw new IllegalArgumentException(method + " can't see " + asked);
        }
    }

    public double baseline() {
        return method.baseline(sheet.geometry());
    }
}
