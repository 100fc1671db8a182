package app.galdrin.web.baysheet.internal;

import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import org.springframework.stereotype.Component;

/** Readings on the sheet. */
@Component
class MeasureSheet implements StepSheet {

    @Override
    public String kind() {
        return Measure.KIND;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        int round = written.sitting().isReference() ? written.sitting().readsRound() : 0;
        return new MeasureMaker(written).of(head, (Measure) step, round);
    }

    @Override
    public boolean listsStruck() {
        return false;
    }
}
