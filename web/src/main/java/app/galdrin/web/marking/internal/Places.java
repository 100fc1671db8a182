package app.galdrin.web.marking.internal;

import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.SlipPicture;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.web.layout.StepWords;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * A sketch with the apprentice's and the reference's readings at the same places.
 *
 * @param own what the apprentice chose before he read: an option by the id of its choice
 * @param reference what was chosen for the reference
 */
record Places(
        String title, Sketch sketch, Map<String, String> own, Map<String, String> reference, List<PlaceValues> values) {

    /**
     * Means of the repeats; empty where nothing was written.
     *
     * @param slipped what stands here by the slip that was made; empty where none touches this place
     */
    record PlaceValues(Sketch.SketchPlace place, String own, String reference, String slipped) {}

    /** The readings as found, a sketch a measuring step. */
    static List<Places> compare(
            Sitting sitting, Assignment assignment, MarkSheet sheet, Answers own, Answers reference, StepWords words) {
        var figures = new OwnFigures(assignment, own);
        return sitting.task().practical().steps().stream()
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .map(m -> of(sitting, m, own, reference, SlipPicture.of(sheet, assignment, figures, m), words))
                .toList();
    }

    private static Places of(
            Sitting sitting,
            Measure measure,
            Answers own,
            Answers reference,
            Map<String, Double> slipped,
            StepWords words) {
        Sketch sketch =
                Sketches.of(sitting.sheet().id(), sitting.sheet().sheet(), measure.procedure(), measure.figures());
        List<Map<String, Double>> mine = own.readings(measure, 0);
        List<Map<String, Double>> theirs = reference.readings(measure, 0);
        List<PlaceValues> values = new ArrayList<>();
        for (Sketch.SketchPlace place : sketch.places()) {
            values.add(new PlaceValues(place, mean(mine, place), mean(theirs, place), mean(List.of(slipped), place)));
        }
        return new Places(words.title(measure), sketch, own.chosen(measure, 0), reference.chosen(measure, 0), values);
    }

    private static String mean(List<Map<String, Double>> repeats, Sketch.SketchPlace place) {
        OptionalDouble mean = repeats.stream()
                .filter(r -> r.containsKey(place.id()))
                .mapToDouble(r -> r.getOrDefault(place.id(), 0.0))
                .average();
        if (mean.isEmpty()) {
            return "";
        }
        Amount amount = place.place().amount();
        return amount.quantity() == Quantity.LENGTH
                ? QuantityFormat.length(mean.getAsDouble())
                : QuantityFormat.decimal(mean.getAsDouble(), 2, place.sensed()) + "°";
    }
}
