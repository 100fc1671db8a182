package app.galdrin.core.simulated;

import app.galdrin.core.procedure.Truth;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;

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
}
