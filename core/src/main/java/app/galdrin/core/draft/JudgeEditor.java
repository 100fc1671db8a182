package app.galdrin.core.draft;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Edits what is judged. A figure that two procedures are asked for is compared. */
@AutoService(StepEditor.class)
public final class JudgeEditor implements StepEditor {

    private static final int TURN = 30;

    @Override
    public String kind() {
        return Judge.KIND;
    }

    @Override
    public List<Addition> additions() {
        return List.of(new Addition("judge", "judge", "step.judge.title"));
    }

    @Override
    public Step made(Addition addition, String id) {
        return new Judge(id, List.of(), List.of());
    }

    @Override
    public int turn(Step step) {
        return TURN;
    }

    /** Returns the figures that a step of a task can ask about on a vehicle: those with limits. */
    public static List<FigureId> figures(Practical practical, SpecificationSheet sheet, Judge judge) {
        return possible(StepsBefore.of(practical, judge), sheet);
    }

    private static List<FigureId> possible(StepsBefore before, SpecificationSheet sheet) {
        return before.figures(Measure::figuresAndDifferences).stream()
                .filter(f -> sheet.limits(f).isPresent())
                .toList();
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) {
        var judge = (Judge) step;
        if (!field.equals("figure")) {
            return step;
        }
        return new Judge(
                judge.id(),
                FigureChoice.ticked(
                        judge.figures(), part, FieldText.isTicked(typed), possible(setting.now(), setting.sheet())),
                judge.compared());
    }

    @Override
    public Step following(Step step, DraftSetting setting) {
        var judge = (Judge) step;
        List<FigureId> possible = possible(setting.now(), setting.sheet());
        Optional<List<FigureId>> before = setting.then().map(then -> possible(then, setting.sheet()));
        List<FigureId> twice = toldTwice(setting.now());
        Optional<List<FigureId>> twiceBefore = setting.then().map(JudgeEditor::toldTwice);
        return new Judge(
                judge.id(),
                FigureChoice.following(judge.figures(), possible, before),
                FigureChoice.following(judge.compared(), twice, twiceBefore));
    }

    /** Figures that two procedures are asked for. */
    private static List<FigureId> toldTwice(StepsBefore before) {
        List<FigureId> twice = new ArrayList<>();
        for (FigureId figure : before.figures(Measure::figures)) {
            long procedures = before.measures().stream()
                    .filter(m -> m.figures().contains(figure))
                    .map(m -> m.procedure().key())
                    .distinct()
                    .count();
            if (procedures > 1) {
                twice.add(figure);
            }
        }
        return twice;
    }
}
