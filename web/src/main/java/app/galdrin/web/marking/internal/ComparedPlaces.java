package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.SlipPicture;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.words.ReadingWords;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The readings as found, an apprentice's beside the reference's, a sketch a measuring step. */
@Component
class ComparedPlaces {

    private final StepWords steps;
    private final ReadingWords readings;
    private final Words words;

    ComparedPlaces(StepWords steps, ReadingWords readings, Words words) {
        this.words = words;
        this.steps = steps;
        this.readings = readings;
    }

    List<Places> of(Sitting sitting, Assignment assignment, MarkSheet sheet, Answers own, Answers reference) {
        var figures = new OwnFigures(assignment, own);
        return sitting.task().practical().measures(0).stream()
                .map(m -> of(sitting, m, own, reference, SlipPicture.of(sheet, assignment, figures, m)))
                .toList();
    }

    private Places of(Sitting sitting, Measure measure, Answers own, Answers reference, Map<String, Double> slipped) {
        Sketch sketch =
                Sketches.of(sitting.sheet().id(), sitting.sheet().sheet(), measure.procedure(), measure.figures());
        List<Map<String, Double>> mine = own.readings(measure, 0);
        List<Map<String, Double>> theirs = reference.readings(measure, 0);
        List<Places.PlaceValues> values = new ArrayList<>();
        for (Sketch.SketchPlace place : sketch.places()) {
            values.add(new Places.PlaceValues(
                    place,
                    words.text(place.words() + ".short"),
                    shown(mine, place),
                    shown(theirs, place),
                    shown(List.of(slipped), place)));
        }
        return new Places(
                measure.id(),
                steps.title(measure),
                sketch,
                own.chosen(measure, 0),
                reference.chosen(measure, 0),
                values);
    }

    private String shown(List<Map<String, Double>> repeats, Sketch.SketchPlace place) {
        List<Double> read = repeats.stream()
                .flatMap(repeat -> Stream.ofNullable(repeat.get(place.id())))
                .toList();
        return readings.brief(place.place(), read);
    }
}
