package app.galdrin.web.task.internal;

import app.galdrin.core.draft.PlanEditor;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import org.springframework.stereotype.Component;

/** Planning on the bench: the figures that can be planned. */
@Component
class PlanBench implements StepBench {

    @Override
    public String kind() {
        return Plan.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        var plan = (Plan) step;
        return FigureRow.of(PlanEditor.figures(draft.practical(), draft.sheet().sheet(), plan), plan.figures(), draft);
    }
}
