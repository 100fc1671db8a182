package app.galdrin.core.sitting;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.task.Measure;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/**
 * A place that was not read.
 *
 * @param procedure key of the procedure
 * @param place id of the place
 * @param repeat from 1; 0 where it is read once for all repeats
 */
public record MissingReading(String procedure, String place, int repeat) {

    /**
     * The places that figures need and that were not read, repeat by repeat as the task asks them.
     *
     * @param figures of the step
     */
    public static List<MissingReading> of(OwnFigures own, Measure measure, int round, Collection<FigureId> figures) {
        int repeats = Math.max(measure.repeats(), own.readings(measure, round).size());
        return missing(own, measure, round, measure.procedure().places(figures), repeats);
    }

    /** The places that some way to a figure reads and that are missing in a repeat that was begun: the apprentice may have had more to work with. */
    public static List<MissingReading> lacking(OwnFigures own, Measure measure, int round, FigureId figure) {
        int begun = own.readings(measure, round).size();
        return missing(own, measure, round, own.places(measure), begun).stream()
                .filter(reading -> measure.procedure().reads(figure, reading.place()))
                .toList();
    }

    private static List<MissingReading> missing(
            OwnFigures own, Measure measure, int round, List<Place> places, int repeats) {
        List<Map<String, Double>> read = own.readings(measure, round);
        List<MissingReading> missing = new ArrayList<>();
        for (int repeat = 1; repeat <= repeats; repeat++) {
            Map<String, Double> there = repeat <= read.size() ? read.get(repeat - 1) : Map.of();
            for (Place place : places) {
                if (!there.containsKey(place.id()) && (place.eachRepeat() || repeat == 1)) {
                    missing.add(
                            new MissingReading(measure.procedure().key(), place.id(), place.eachRepeat() ? repeat : 0));
                }
            }
        }
        return missing;
    }
}
