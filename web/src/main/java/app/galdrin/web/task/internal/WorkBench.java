package app.galdrin.web.task.internal;

import app.galdrin.core.draft.StepsBefore;
import app.galdrin.core.draft.WorkEditor;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import app.galdrin.web.words.StepWords;
import java.util.List;
import org.springframework.stereotype.Component;

/** A working on the bench. */
@Component
class WorkBench implements StepBench {

    private final StepWords names;

    WorkBench(StepWords names) {
        this.names = names;
    }

    /**
     * Fields of a working.
     *
     * @param figures each with the unit it is answered in
     * @param asksForWays whether intermediate figures are asked for too
     * @param targets the measurements before it whose figures can be turned back into readings
     */
    public record WorkFields(
            List<FigureRow> figures, boolean asksForWays, AnswerUnit[] units, List<MeasureRow> targets) {}

    @Override
    public String kind() {
        return Work.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        var work = (Work) step;
        return new WorkFields(
                figures(work, draft), WorkEditor.asksForWays(work), AnswerUnit.values(), targets(work, draft));
    }

    private static List<FigureRow> figures(Work work, BenchDraft draft) {
        return WorkEditor.figures(draft.practical(), work).stream()
                .map(f -> new FigureRow(
                        f,
                        draft.name(f),
                        work.item(f).map(i -> i.unit().key()).orElse(WorkEditor.NOT_ASKED),
                        work.item(f).isPresent(),
                        true))
                .toList();
    }

    private List<MeasureRow> targets(Work work, BenchDraft draft) {
        return StepsBefore.of(draft.practical(), work).measures().stream()
                .filter(m -> !m.target().on(draft.sheet().sheet()).isEmpty())
                .map(m -> new MeasureRow(
                        m.id(),
                        names.title(m),
                        work.targets().stream().anyMatch(t -> t.from().equals(m.id()))))
                .toList();
    }
}
