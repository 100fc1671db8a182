package app.galdrin.core.draft;

import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.TaskFaultCode;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** The hand-in has nothing to edit. */
@AutoService(StepEditor.class)
public final class HandInEditor implements StepEditor {

    private static final int LAST = 70;

    @Override
    public String kind() {
        return HandIn.KIND;
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
    public Optional<Mend> mend(Step step, TaskFault fault, SpecificationSheet sheet) {
        return fault.reason() == TaskFaultCode.AFTER_HAND_IN
                ? Optional.of(new Mend("last", step.id(), "mend.handInLast", ""))
                : Optional.empty();
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) {
        return step;
    }
}
