package app.galdrin.core.simulated;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;

/** Hands the sheet in. */
@AutoService(StepWriter.class)
public final class HandInWriter implements StepWriter {

    @Override
    public String kind() {
        return HandIn.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        apprentice.pen().write(LineKey.of(step.id(), HandIn.DONE), AnswerType.Tick.DONE);
    }
}
