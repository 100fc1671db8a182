package app.galdrin.web.baysheet.internal;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import java.util.List;
import org.springframework.stereotype.Component;

/** The end of the sheet. */
@Component
class HandInSheet implements StepSheet {

    @Override
    public String kind() {
        return HandIn.KIND;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        List<HandInView.OpenStep> steps = written.assignment().practical().steps().stream()
                .filter(s -> !s.equals(step))
                .map(s -> new HandInView.OpenStep(
                        s.id(), written.names().title(s), written.progress(s).lacking()))
                .toList();
        return new HandInView(head, written.fields().at(LineKey.of(step.id(), HandIn.DONE)), steps);
    }
}
