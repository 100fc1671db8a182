package app.galdrin.web.task.internal;

import app.galdrin.core.draft.JudgeEditor;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import org.springframework.stereotype.Component;

/** Judging on the bench: the figures that can be judged. */
@Component
class JudgeBench implements StepBench {

    @Override
    public String kind() {
        return Judge.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        var judge = (Judge) step;
        return FigureRow.of(
                JudgeEditor.figures(draft.practical(), draft.sheet().sheet(), judge), judge.figures(), draft);
    }
}
