package app.galdrin.core.draft;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.List;

/** Edits what is planned. */
@AutoService(StepEditor.class)
public final class PlanEditor implements StepEditor {

    private static final int TURN = 40;

    @Override
    public String kind() {
        return Plan.KIND;
    }

    @Override
    public List<Addition> additions() {
        return List.of(new Addition("plan", "plan", "step.plan.title"));
    }

    @Override
    public Step made(Addition addition, String id) {
        return new Plan(id, List.of());
    }

    @Override
    public int turn(Step step) {
        return TURN;
    }

    /** Returns the figures that a step of a task can ask about on a vehicle: those with limits. */
    public static List<FigureId> figures(Practical practical, SpecificationSheet sheet, Plan plan) {
        return possible(StepsBefore.of(practical, plan), sheet);
    }

    private static List<FigureId> possible(StepsBefore before, SpecificationSheet sheet) {
        return before.figures(Measure::figures).stream()
                .filter(f -> sheet.limits(f).isPresent())
                .toList();
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) {
        var plan = (Plan) step;
        return field.equals("figure")
                ? new Plan(
                        plan.id(),
                        FigureChoice.ticked(
                                plan.figures(),
                                part,
                                FieldText.isTicked(typed),
                                possible(setting.now(), setting.sheet())))
                : step;
    }

    @Override
    public Step following(Step step, DraftSetting setting) {
        var plan = (Plan) step;
        return new Plan(
                plan.id(),
                FigureChoice.following(
                        plan.figures(),
                        possible(setting.now(), setting.sheet()),
                        setting.then().map(then -> possible(then, setting.sheet()))));
    }
}
