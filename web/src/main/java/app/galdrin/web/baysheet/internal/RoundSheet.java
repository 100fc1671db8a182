package app.galdrin.web.baysheet.internal;

import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import org.springframework.stereotype.Component;

/** Rounds of adjusting on the sheet. */
@Component
class RoundSheet implements StepSheet {

    @Override
    public String kind() {
        return Round.KIND;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        return new AdjustMaker(written).round(head, (Round) step);
    }

    @Override
    public boolean listsStruck() {
        return false;
    }
}
