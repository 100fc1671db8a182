package app.galdrin.core.procedure;

import app.galdrin.core.figure.AnswerUnit;
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

    /** Readings changed place by place; {@code change} gets the place and what was read there. */
    Map<String, Double> changed(Map<String, Double> all, BiFunction<Place, Double, Double> change) {
        Map<String, Double> changed = new HashMap<>(all);
        for (Place place : procedure.walk()) {
            changed.computeIfPresent(place.id(), (id, value) -> change.apply(place, value));
        }
        return changed;
    }
}
