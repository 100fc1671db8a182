package app.galdrin.web.task.internal;

import app.galdrin.core.draft.RoundEditor;
import app.galdrin.core.draft.StepsBefore;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import app.galdrin.web.words.StepWords;
import org.springframework.stereotype.Component;

/** Rounds on the bench: the measurements that they can read again. */
@Component
class RoundBench implements StepBench {

    private final StepWords names;

    RoundBench(StepWords names) {
        this.names = names;
    }

    @Override
    public String kind() {
        return Round.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        var round = (Round) step;
        return StepsBefore.of(draft.practical(), round).measures().stream()
                .map(m -> new MeasureRow(m.id(), names.title(m), RoundEditor.readsAgain(round, m)))
                .toList();
    }
}
