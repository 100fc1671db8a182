package app.galdrin.web.wheelnuts;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import org.springframework.stereotype.Component;

/** The count on the sheet. */
@Component
class WheelNutsSheet implements StepSheet {

    @Override
    public String kind() {
        return WheelNuts.KIND;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        return new WheelNutsView(head, written.fields().at(LineKey.of(step.id(), WheelNuts.LINE)));
    }

    /** One field. */
    public record WheelNutsView(Head head, FieldView field) implements StepView {}
}
