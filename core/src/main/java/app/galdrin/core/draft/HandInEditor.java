package app.galdrin.core.draft;

import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKind;
import com.google.auto.service.AutoService;
import java.util.List;

/** The hand-in has nothing to edit. */
@AutoService(StepEditor.class)
public final class HandInEditor implements StepEditor {

    private static final int LAST = 70;

    @Override
    public StepKind kind() {
        return StepKind.HAND_IN;
    }

    @Override
    public List<Addition> additions() {
        return List.of(new Addition("handIn", "handIn", "step.handIn.title"));
    }

    @Override
    public Step made(Addition addition, String id) {
        return new HandIn(id);
    }

    @Override
    public int turn(Step step) {
        return LAST;
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) {
        return step;
    }
}
