package app.galdrin.core.task;

import app.galdrin.core.Outcome;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

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
        if (!asked.answeredBy(method)) {
            throw new IllegalArgumentException(method.key() + " can't see " + asked);
        }
    }

    /** The figures of every repeat that has all its readings and can be worked; readings are mm by place. */
    public List<ToeFigures> work(List<Map<String, Double>> readings) {
        List<ToeFigures> worked = new ArrayList<>();
        for (Map<String, Double> repeat : readings) {
            if (method.work(repeat, sheet.geometry()) instanceof Outcome.Value<ToeFigures> value) {
                worked.add(value.value());
            }
        }
        return worked;
    }

    /** Between the two points on a wheel that are compared, mm. */
    public double baseline() {
        return method.baseline(sheet.geometry());
    }
}
