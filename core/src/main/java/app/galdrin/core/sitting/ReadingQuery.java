package app.galdrin.core.sitting;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.task.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Readings that are each possible and can't well be together.
 *
 * @param figure that no longer follows from them; empty where it does, and they are only too much alike
 * @param places what to read again
 */
public record ReadingQuery(int repeat, Optional<FigureId> figure, List<Place> places) {
    public ReadingQuery {
        places = List.copyOf(places);
    }

    /** Finest share of a mark that anybody reads on a scale. */
    private static final double FINEST_SHARE = 0.2;

    /** Returns what is to be read again because the readings of a repeat don't go together, in their order. */
    public static List<ReadingQuery> of(OwnFigures own, Measure measure, int round) {
        Procedure procedure = measure.procedure();
        MeasuringContext standing = own.standing(measure, round);
        boolean chosen = procedure.choices().stream()
                .allMatch(choice -> choice.in(standing).isPresent());
        boolean floorKnown = standing.floor().isKnown()
                || procedure.slopes(measure.figures()).isEmpty();
        List<Map<String, Double>> all = own.readings(measure, round);
        List<ReadingQuery> asked = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            int repeat = i + 1;
            Map<String, Double> read = all.get(i);
            procedure.unlike().stream()
                    .filter(pair -> pair.alikeIn(read))
                    .forEach(pair -> asked.add(
                            new ReadingQuery(repeat, Optional.empty(), List.of(pair.first(), pair.second()))));
            tooFine(own.places(measure), standing, repeat, read).forEach(asked::add);
            if (chosen && floorKnown) {
                WorkedRepeat one = own.worked(measure, round).get(i);
                measure.figures().stream()
                        .filter(f -> !f.ofBothWheels() && !one.figures().containsKey(f))
                        .forEach(f -> impossible(procedure, f, repeat, read).ifPresent(asked::add));
            }
        }
        return asked;
    }

    /**
     * Finds a scatter far finer than the instrument shows: it was read in another unit, or is a digit short; what stands for all repeats is asked
     * once.
     */
    private static List<ReadingQuery> tooFine(
            List<Place> places, MeasuringContext standing, int repeat, Map<String, Double> read) {
        return places.stream()
                .filter(place -> place.eachRepeat() || repeat == 1)
                .filter(place -> isFinerThanShown(place, standing, Math.abs(read.getOrDefault(place.id(), 0.0))))
                .map(place -> new ReadingQuery(repeat, Optional.empty(), List.of(place)))
                .toList();
    }

    /** {@code size} in mm or deg; nothing at all can be read on any scale. */
    private static boolean isFinerThanShown(Place place, MeasuringContext standing, double size) {
        double resolution = standing.kit().resolution(place.instrument());
        double mark = place.amount().quantity().toDocument(resolution);
        return size > 0 && size < FINEST_SHARE * mark;
    }

    private static Optional<ReadingQuery> impossible(
            Procedure procedure, FigureId figure, int repeat, Map<String, Double> read) {
        List<Place> places = procedure.places(List.of(figure));
        boolean all = !places.isEmpty() && places.stream().allMatch(p -> read.containsKey(p.id()));
        return all ? Optional.of(new ReadingQuery(repeat, Optional.of(figure), places)) : Optional.empty();
    }
}
