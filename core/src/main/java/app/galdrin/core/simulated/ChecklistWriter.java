package app.galdrin.core.simulated;

import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.stream.Collectors;

/** Ticks what is done and gives the reasons that are asked for it. */
@AutoService(StepWriter.class)
public final class ChecklistWriter implements StepWriter {

    @Override
    public String kind() {
        return Checklist.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        var list = (Checklist) step;
        for (Checklist.Item item : list.items()) {
            if (!habit.leftOut().contains(item.id())) {
                apprentice.pen().write(LineKey.of(list.id(), item.id()), AnswerKind.example(item.asks()));
                if (!item.why().isEmpty()) {
                    apprentice.pen().write(LineKey.of(list.id(), item.whyLine()), reasons(item));
                }
            }
        }
    }

    /** Each by its first word. */
    private static String reasons(Checklist.Item item) {
        return item.why().stream().map(reason -> reason.words().get(0)).collect(Collectors.joining(", "));
    }

    @Override
    public void draw(Step step, HabitDraw draw) {
        ((Checklist) step).items().forEach(item -> draw.item(item.id(), item.critical()));
    }
}
