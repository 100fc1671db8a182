package app.galdrin.core.form;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.simulated.HabitDraw;
import app.galdrin.core.simulated.StepWriter;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Step;
import java.util.List;

/** Fills in a form as somebody who knows, or goes wrong at single points. */
public abstract class FormWriter implements StepWriter {

    private final String kind;

    protected FormWriter(String kind) {
        this.kind = kind;
    }

    @Override
    public final String kind() {
        return kind;
    }

    @Override
    public final void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        var form = (Form) step;
        for (FormPoint point : form.points(apprentice.assignment().sheet())) {
            var given = new FormAnswers(
                    form, apprentice.assignment(), apprentice.pen().answers());
            boolean slips = habit.leftOut().contains(name(form, point));
            if (given.isNeedless(point.line()) || slips && !(point.asks() instanceof AnswerType.Choice)) {
                continue;
            }
            String answer = slips ? another(point, given) : point.honest(given);
            apprentice.pen().write(LineKey.of(form.id(), point.key()), answer);
        }
    }

    private static String another(FormPoint point, FormAnswers given) {
        List<String> right = point.right(given);
        return ((AnswerType.Choice) point.asks())
                .options().stream()
                        .filter(option -> !right.contains(option))
                        .findFirst()
                        .orElse(point.honest(given));
    }

    private static String name(Form form, FormPoint point) {
        return form.id() + "." + point.key();
    }

    @Override
    public final void draw(Step step, HabitDraw draw) {
        var form = (Form) step;
        form.points().forEach(point -> draw.item(name(form, point), point.isCritical()));
    }
}
