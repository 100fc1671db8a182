package app.galdrin.web.task.internal;

import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import app.galdrin.web.words.Words;
import org.springframework.stereotype.Component;

/** A measurement on the bench. */
@Component
class MeasureBench implements StepBench {

    private final Words words;

    MeasureBench(Words words) {
        this.words = words;
    }

    @Override
    public String kind() {
        return Measure.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        return new MeasureFields((Measure) step, draft, words);
    }
}
