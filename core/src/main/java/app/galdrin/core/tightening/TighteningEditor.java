package app.galdrin.core.tightening;

import app.galdrin.core.Keyed;
import app.galdrin.core.draft.DraftSetting;
import app.galdrin.core.draft.FieldText;
import app.galdrin.core.draft.Mend;
import app.galdrin.core.draft.StepEditor;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.TaskFaultCode;
import com.google.auto.service.AutoService;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Edits which fasteners are tightened. */
@AutoService(StepEditor.class)
public final class TighteningEditor implements StepEditor {

    private static final String USE = "use";
    private static final int AFTER_ADJUSTING = 55;

    @Override
    public String kind() {
        return Tightening.KIND;
    }

    @Override
    public List<Addition> additions() {
        return List.of(new Addition(Tightening.KIND, Tightening.KIND, "step.tightening.title"));
    }

    @Override
    public Step made(Addition addition, String id) {
        return new Tightening(id, List.of());
    }

    @Override
    public int turn(Step step) {
        return AFTER_ADJUSTING;
    }

    /** A new one asks for whatever the vehicle's sheet names. */
    @Override
    public Step following(Step step, DraftSetting setting) {
        boolean isNew = setting.then().isEmpty();
        return isNew && ((Tightening) step).uses().isEmpty()
                ? new Tightening(step.id(), setting.sheet().fastenerUses())
                : step;
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) {
        Optional<FastenerUse> use = Keyed.find(FastenerUse.values(), part);
        if (!field.equals(USE) || use.isEmpty()) {
            return step;
        }
        Set<FastenerUse> uses = EnumSet.noneOf(FastenerUse.class);
        uses.addAll(((Tightening) step).uses());
        if (FieldText.isTicked(typed)) {
            uses.add(use.get());
        } else {
            uses.remove(use.get());
        }
        return new Tightening(step.id(), List.copyOf(uses));
    }

    @Override
    public Optional<Mend> mend(Step step, TaskFault fault, SpecificationSheet sheet) {
        return fault.reason() == TaskFaultCode.NO_FASTENER
                ? Optional.of(
                        new Mend("steps." + step.id() + "." + USE + "." + fault.value(), "off", "mend.leaveOut", ""))
                : Optional.empty();
    }
}
