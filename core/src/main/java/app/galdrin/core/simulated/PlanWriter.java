package app.galdrin.core.simulated;

import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.stream.Stream;

/** Plans the adjustment that the apprentice's own figures ask for. */
@AutoService(StepWriter.class)
public final class PlanWriter implements StepWriter {

    @Override
    public String kind() {
        return Plan.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        new Planning(apprentice).write((Plan) step, habit.plan());
    }

    @Override
    public List<ProvokedSlip> slips(Step step, Assignment assignment) {
        boolean hasTotal = ((Plan) step)
                .figures().stream().anyMatch(figure -> figure.measurand().form() == Form.SUM);
        return Stream.concat(
                        HabitDraw.PLAN_SLIPS.stream(), hasTotal ? Stream.of("wholeOnEachSide") : Stream.<String>empty())
                .map(slip -> new ProvokedSlip(step.id(), "", slip, Habit.CAREFUL.andPlan(slip)))
                .toList();
    }
}
