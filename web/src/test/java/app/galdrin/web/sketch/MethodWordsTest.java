package app.galdrin.web.sketch;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.Place;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.record.Step;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.VehicleGeometry;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A method that can be set has all its words: a new one can't be half there. */
class MethodWordsTest {

    private static final VehicleGeometry VAN =
            new VehicleGeometry(2760, 1484, 1466, 416, 301, Linkage.BEHIND, 1.5, false, 136, 17.8);

    static Stream<ToeMethod> methods() {
        return ToeMethods.all().stream();
    }

    @ParameterizedTest
    @MethodSource("methods")
    void everythingAMethodSays_hasWords(ToeMethod method) {
        List<String> keys = new ArrayList<>();
        String key = method.key();
        keys.addAll(List.of("method." + key, "method." + key + ".why", "method." + key + ".blind"));
        keys.addAll(List.of("work." + key + ".how", "baseline." + key, "sketch." + key + ".walk"));
        Map<String, Double> readings = new HashMap<>();
        for (Place place : method.places()) {
            keys.addAll(List.of("place." + place.id(), "place." + place.id() + ".short"));
            readings.put(place.id(), place.most() / 2 + keys.size() / 10.0);
        }
        for (Assumption assumption : method.sight().assumes()) {
            keys.add("assumption." + assumption.key());
        }
        ToeFigures figures = method.work(readings, VAN).orElseThrow();
        for (Asked asked : method.answers()) {
            var figure = figures.figure(asked).orElseThrow();
            method.doubtByClass(figure).keySet().forEach(source -> keys.add("doubt." + source));
            List<Step> steps = method.working(readings, VAN, asked);
            steps.forEach(step -> keys.add("working." + step.formula()));
            assertEquals(
                    figure.value(), steps.get(steps.size() - 1).out().value(), 1e-12, "the steps lead to the figure");
        }
        var words = ResourceBundle.getBundle("messages");
        assertEquals(List.of(), keys.stream().filter(k -> !words.containsKey(k)).toList());
    }
}
