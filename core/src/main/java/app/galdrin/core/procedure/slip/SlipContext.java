package app.galdrin.core.procedure.slip;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Combination;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;

/**
 * Context in which a slip is tried.
 *
 * @param unit in which answers are written
 * @param baseline over which an angle is answered in millimetres, mm; 1 where nobody does
 * @param readings those that stand, mm or deg by place, a map a repeat
 * @param notes what stands beside the figures that they come to, in the record's unit, a map a repeat that comes to any
 * @param taught key of the working that the task teaches: a slip is made in that one
 */
public record SlipContext(
        Procedure procedure,
        MeasuringContext standing,
        AnswerUnit unit,
        double baseline,
        List<Map<String, Double>> readings,
        List<Map<String, Double>> notes,
        String taught) {

    /**
     * The same of one repeat.
     *
     * @param repeat from 0
     * @param noted what stands beside the figures that it comes to, in the record's unit
     */
    public SlipContext ofRepeat(int repeat, Map<String, Double> noted) {
        return new SlipContext(
                procedure, standing, unit, baseline, List.of(readings.get(repeat)), List.of(noted), taught);
    }

    /** Answers, in their unit, with each figure that was worked by itself changed in rad or mm; what is put together of others follows. */
    Map<FigureId, Double> reworked(Map<FigureId, Double> answers, BiFunction<FigureId, Double, Double> change) {
        Map<FigureId, Double> changed = new HashMap<>();
        answers.forEach((figure, answer) -> {
            List<FigureId> parts = Derivation.parts(figure);
            if (parts.isEmpty() || !answers.keySet().containsAll(parts)) {
                changed.put(figure, change.apply(figure, unit.toFigure(answer, figure, baseline)));
            }
        });
        for (FigureId figure : answers.keySet()) {
            if (!changed.containsKey(figure)) {
                Combination made = Derivation.of(figure).orElseThrow();
                Double one = changed.get(made.parts().get(0));
                Double other = changed.get(made.parts().get(1));
                if (one != null && other != null) {
                    changed.put(figure, made.of(one, other));
                }
            }
        }
        changed.replaceAll((figure, value) -> unit.ofFigure(value, figure, baseline));
        return changed;
    }

    /** Readings changed place by place; {@code change} gets the place and what was read there. */
    Map<String, Double> changed(Map<String, Double> all, BiFunction<Place, Double, Double> change) {
        Map<String, Double> changed = new HashMap<>(all);
        for (Place place : procedure.walk()) {
            changed.computeIfPresent(place.id(), (id, value) -> change.apply(place, value));
        }
        return changed;
    }
}
