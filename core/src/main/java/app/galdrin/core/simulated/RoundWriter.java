package app.galdrin.core.simulated;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;

/** Moves each part by one unit in one round, and reads again. */
@AutoService(StepWriter.class)
public final class RoundWriter implements StepWriter {

    @Override
    public String kind() {
        return Round.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        var round = (Round) step;
        List<FigureId> figures = new ArrayList<>();
        round.measures().forEach(m -> figures.addAll(m.figures()));
        if (round.most() > 1) {
            var moves = new MoveWriting(apprentice.pen());
            Practical.adjustments(figures).stream()
                    .flatMap(a -> apprentice.assignment().adjusters(a).stream())
                    .distinct()
                    .forEach(part -> moves.write(round.id(), 1, part, 1));
        }
        round.measures().forEach(m -> apprentice.read(m, 1, left, m.repeats()));
        if (round.most() > 1) {
            apprentice.pen().write(new LineKey(round.id(), Round.NEXT, 0, 1), Round.Next.DONE.key());
        }
    }
}
