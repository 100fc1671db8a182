package app.galdrin.core.sitting;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.TargetReading;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Target;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Works out what has to be read once a vehicle is set. */
public final class TargetReadings {

    private TargetReadings() {}

    /**
     * Returns what must be read for figures to be as the sheet prefers, from where the readings of a step in a round stand; empty without
     * readings.
     */
    public static List<TargetReading> of(OwnFigures own, Target target, Measure from, int round) {
        Map<String, List<Double>> byPlace = new HashMap<>();
        own.readings(from, round)
                .forEach(repeat -> repeat.forEach((place, v) ->
                        byPlace.computeIfAbsent(place, p -> new ArrayList<>()).add(v)));
        Map<String, Double> readings = new HashMap<>();
        byPlace.forEach((place, all) ->
                readings.put(place, all.stream().mapToDouble(v -> v).average().orElseThrow()));
        Map<FigureId, Double> figures = new HashMap<>();
        from.procedure()
                .sees()
                .forEach(figure -> own.mean(from, round, figure).ifPresent(e -> figures.put(figure, e.value())));
        return figures.isEmpty() ? List.of() : target.of(readings, figures, own.standing(from, round));
    }
}
