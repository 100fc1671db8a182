package app.galdrin.web.baysheet.internal;

import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import org.springframework.stereotype.Component;

/** A plan on the sheet. */
@Component
class PlanSheet implements StepSheet {

    @Override
    public String kind() {
        return Plan.KIND;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        return new AdjustMaker(written).plan(head, (Plan) step);
    }

    @Override
    public boolean speaksAtOnce() {
        return true;
    }
}
