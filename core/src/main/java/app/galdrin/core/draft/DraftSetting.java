package app.galdrin.core.draft;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Checklist;
import java.util.List;
import java.util.Optional;

/**
 * Context of an edit of a step.
 *
 * @param sheet of the vehicle
 * @param unit in which figures are usually answered
 * @param now the steps before it
 * @param known items in words of their own that the centre has used before, to be used again
 * @param then the steps before it ahead of this edit; empty where the step is new
 */
public record DraftSetting(
        SpecificationSheet sheet,
        AnswerUnit unit,
        List<Checklist.Item> known,
        StepsBefore now,
        Optional<StepsBefore> then) {}
