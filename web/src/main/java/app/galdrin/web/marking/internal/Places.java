package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.References;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Stage;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** A sketch with the apprentice's and the reference's readings at the same places. */
record Places(Sketch sketch, List<PlaceValues> values) {

    /** Means of the repeats, as written; empty where nothing was. */
    record PlaceValues(Sketch.SketchPlace place, String own, String reference) {}

    static Places compare(Sitting sitting, Log log, References references) {
        ToeTask task = sitting.task().toe();
        Sketch sketch = Sketches.of(sitting.task().sheet().id(), task.sheet().geometry(), task.method());
        List<Map<String, Double>> own = log.readings(Stage.AS_FOUND, task.repeats());
        List<PlaceValues> values = new ArrayList<>();
        for (Sketch.SketchPlace place : sketch.places()) {
            values.add(new PlaceValues(place, mean(own, place.id()), mean(references.asFound(), place.id())));
        }
        return new Places(sketch, values);
    }

    private static String mean(List<Map<String, Double>> repeats, String place) {
        OptionalDouble mean = repeats.stream()
                .filter(r -> r.containsKey(place))
                .mapToDouble(r -> r.getOrDefault(place, 0.0))
                .average();
        return mean.isPresent() ? QuantityFormat.length(mean.getAsDouble()) : "";
    }
}
