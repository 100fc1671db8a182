package app.galdrin.core.tightening;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.simulated.HabitDraw;
import app.galdrin.core.simulated.StepWriter;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.task.Step;
import app.galdrin.core.tightening.Tightening.AskedFastener;
import com.google.auto.service.AutoService;

/** Tightens to the data, or takes pound-inches for pound-feet. */
@AutoService(StepWriter.class)
public final class TighteningWriter implements StepWriter {

    private static final int INCHES_A_FOOT = 12;

    @Override
    public String kind() {
        return Tightening.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        boolean slips = habit.leftOut().contains(step.id());
        write(apprentice, step, Tightening.WRENCH, "W1");
        write(apprentice, step, Tightening.CALIBRATION, Tightening.Calibration.IN_DATE.key());
        for (AskedFastener one :
                ((Tightening) step).asked(apprentice.assignment().sheet())) {
            Fastener f = one.fastener();
            if (f.isUnknown()) {
                write(apprentice, step, slips ? one.torque() : one.notConfirmed(), slips ? "50" : AnswerType.Tick.DONE);
            } else {
                double torque = (f.least().orElse(f.most().orElse(0))
                                + f.most().orElse(f.least().orElse(0)))
                        / 2;
                write(
                        apprentice,
                        step,
                        one.torque(),
                        QuantityFormat.decimal(slips ? torque / INCHES_A_FOOT : torque, 1, false));
            }
            if (f.angle().isPresent() && !f.isUnknown()) {
                double degrees = Quantity.ANGLE.toDocument(f.angle().getAsDouble());
                write(apprentice, step, one.angle(), QuantityFormat.decimal(degrees, 0, false));
            }
            if (f.singleUse()) {
                write(apprentice, step, one.renewed(), AnswerType.Tick.DONE);
            }
        }
    }

    private static void write(Apprentice apprentice, Step step, String line, String text) {
        apprentice.pen().write(LineKey.of(step.id(), line), text);
    }

    @Override
    public void draw(Step step, HabitDraw draw) {
        draw.item(step.id(), true);
    }
}
