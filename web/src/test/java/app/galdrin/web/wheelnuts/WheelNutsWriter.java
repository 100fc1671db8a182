package app.galdrin.web.wheelnuts;

import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.simulated.HabitDraw;
import app.galdrin.core.simulated.StepWriter;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;

/** Counts them, or one too few. */
@AutoService(StepWriter.class)
public final class WheelNutsWriter implements StepWriter {

    @Override
    public String kind() {
        return WheelNuts.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        int missed = habit.leftOut().contains(step.id()) ? 1 : 0;
        apprentice
                .pen()
                .write(LineKey.of(step.id(), WheelNuts.LINE), String.valueOf(((WheelNuts) step).nuts() - missed));
    }

    @Override
    public void draw(Step step, HabitDraw draw) {
        draw.item(step.id(), false);
    }
}
