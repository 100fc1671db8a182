package app.galdrin.web.wheelnuts;

import app.galdrin.core.draft.DraftSetting;
import app.galdrin.core.draft.FieldRefusal;
import app.galdrin.core.draft.FieldText;
import app.galdrin.core.draft.StepEditor;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.List;

/** Edits the number of nuts. */
@AutoService(StepEditor.class)
public final class WheelNutsEditor implements StepEditor {

    @Override
    public String kind() {
        return WheelNuts.KIND;
    }

    /** None where pictures are taken: they show what ships. */
    @Override
    public List<Addition> additions() {
        return System.getProperty("galdrin.screenshots") == null
                ? List.of(new Addition(WheelNuts.KIND, WheelNuts.KIND, "step.wheelNuts.title"))
                : List.of();
    }

    @Override
    public Step made(Addition addition, String id) {
        return new WheelNuts(id, 4);
    }

    @Override
    public int turn(Step step) {
        return 5;
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) throws FieldRefusal {
        return new WheelNuts(step.id(), FieldText.whole(typed, WheelNuts.FEWEST, WheelNuts.MOST));
    }
}
