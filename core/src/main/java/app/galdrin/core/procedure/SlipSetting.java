package app.galdrin.core.procedure;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;

/**
 * What a slip is tried on.
 *
 * @param unit in which answers are written
 * @param baseline over which an angle is answered in millimetres, mm; 1 where nobody does
 * @param readings those that stand, mm or deg by place, a map a repeat
 */
public record SlipSetting(
        Procedure procedure, Standing standing, AnswerUnit unit, double baseline, List<Map<String, Double>> readings) {

    /** Answers, in their unit, with each figure that was worked by itself changed in rad or mm; what is put together of others follows. */
    Map<FigureId, Double> reworked(Map<FigureId, Double> answers, BiFunction<FigureId, Double, Double> change) {
        Map<FigureId, Double> core = new HashMap<>();
        answers.forEach((figure, answer) -> core.put(figure, unit.toFigure(answer, figure, baseline)));
        Map<FigureId, Double> changed = new HashMap<>();
        core.forEach((figure, value) -> {
            if (!core.keySet().containsAll(Derivation.parts(figure))
                    || Derivation.parts(figure).isEmpty()) {
                changed.put(figure, change.apply(figure, value));
            }
        });
        core.keySet().stream()
                .filter(figure -> !changed.containsKey(figure))
                .toList()
                .forEach(figure -> {
                    List<FigureId> parts = Derivation.parts(figure);
                    Double one = changed.get(parts.get(0));
                    Double other = changed.get(parts.get(1));
                    if (one != null && other != null) {
                        changed.put(figure, Derivation.of(figure).orElseThrow().of(one, other));
                    }
                });
        Map<FigureId, Double> reworked = new HashMap<>();
        changed.forEach((figure, value) -> reworked.put(figure, unit.ofFigure(value, figure, baseline)));
        return reworked;
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
