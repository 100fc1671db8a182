package app.galdrin.core.simulated;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

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
            moves(apprentice.assignment(), figures, found, left)
                    .forEach((part, units) -> moves.write(round.id(), 1, part, units));
        }
        round.measures().forEach(m -> apprentice.read(m, 1, left, m.repeats()));
        if (round.most() > 1) {
            apprentice.pen().write(new LineKey(round.id(), Round.NEXT, 0, 1), Round.Next.DONE.key());
        }
    }

    /** Returns the moves that make one vehicle of the other: of the parts that move a figure the one that moves least else, the others are left. */
    private static Map<Adjuster, Double> moves(Assignment assignment, List<FigureId> figures, Truth found, Truth left) {
        Map<Adjuster, Double> moves = new LinkedHashMap<>();
        for (FigureId.Adjustment adjustment : Practical.adjustments(figures)) {
            List<Adjuster> parts = assignment.adjusters(adjustment);
            parts.forEach(part -> moves.putIfAbsent(part, 0.0));
            parts.stream()
                    .flatMap(part -> part.effects().keySet().stream())
                    .filter(adjustment::contains)
                    .distinct()
                    .sorted()
                    .forEach(figure -> parts.stream()
                            .filter(part -> part.effectOn(figure).isPresent())
                            .min(Comparator.comparing(part -> part.effects().size()))
                            .ifPresent(part -> moves.put(part, units(part, figure, moves, found, left))));
        }
        return moves;
    }

    /** Returns how far a part takes a figure from one vehicle to the other, in its whole steps; by its sign alone where nothing more is known. */
    private static double units(Adjuster part, FigureId figure, Map<Adjuster, Double> before, Truth found, Truth left) {
        double change = left.figures().getOrDefault(figure, 0.0)
                - found.figures().getOrDefault(figure, 0.0)
                - PartMoves.knownChange(before, figure);
        Adjuster.Effect effect = part.effectOn(figure).orElseThrow();
        return effect.perUnit().isPresent()
                ? part.smallestStep() * Math.rint(change / effect.perUnit().getAsDouble() / part.smallestStep())
                : Math.signum(change) * effect.sign();
    }
}
