package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.task.Measure;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;

/** Finds explanations of differences from a reference without any slip: one place misread, or one wheel that is off. */
final class RivalExplanations {

    /** Greatest misreading of a scale, in marks. */
    private static final double MOST_MARKS = 40;

    /** Rad or mm: what moves less is binary rounding. */
    private static final double LEAST_SLOPE = 1e-9;

    private static final List<Predicate<Integer>> EVERY = List.of(any -> true);

    private final Measure measure;
    private final List<FigureId> figures;
    private final List<Map<String, Double>> readings;
    private final Function<Map<String, Double>, Map<FigureId, Double>> values;

    /**
     * Looks at the readings of a measurement.
     *
     * @param figures that are compared, in their order
     * @param readings mm or deg by place, of each repeat
     * @param values works the readings of a repeat, rad or mm by figure
     */
    RivalExplanations(
            Measure measure,
            List<FigureId> figures,
            List<Map<String, Double>> readings,
            Function<Map<String, Double>, Map<FigureId, Double>> values) {
        this.measure = measure;
        this.figures = figures;
        this.readings = readings;
        this.values = values;
    }

    /**
     * The least chi-squared that honest hands leave once a single place is misread by some amount, or a single wheel off; infinite without.
     *
     * @param places that are looked at, by id; all, and the wheels, where there are none
     */
    double least(Misfit misfit, double[] differences, double now, Set<String> places) {
        double leastLeft = Double.POSITIVE_INFINITY;
        for (Rival rival : rivals(places)) {
            double left = now - misfit.along(rival.patterns(), differences);
            boolean fits =
                    left < leastLeft && misfit.honest(left, rival.patterns().size());
            if (fits && misfit.amount(rival.patterns().get(0), differences) <= rival.most()) {
                leastLeft = left;
            }
        }
        return leastLeft;
    }

    /**
     * An explanation of differences without any slip.
     *
     * @param patterns that its unknown amounts have: in all repeats, or in one
     * @param most how many times the first of them there can be
     */
    private record Rival(List<double[]> patterns, double most) {}

    private List<Rival> rivals(Set<String> places) {
        List<Rival> rivals = new ArrayList<>();
        for (Place place : measure.procedure().walk()) {
            if (!places.isEmpty() && !places.contains(place.id())) {
                continue;
            }
            List<Map<FigureId, Double>> slopes =
                    readings.stream().map(read -> slope(place, read)).toList();
            if (slopes.stream().anyMatch(slope -> !slope.isEmpty())) {
                for (Predicate<Integer> made : place.eachRepeat() ? repeats() : EVERY) {
                    rivals.add(new Rival(
                            List.of(pattern(made, slopes)),
                            MOST_MARKS * place.instrument().resolution() / place.standardUncertainty()));
                }
            }
        }
        for (Wheel wheel : places.isEmpty() ? Wheel.values() : new Wheel[0]) {
            List<FigureId> its = figures.stream()
                    .filter(f -> f.wheel().filter(wheel::equals).isPresent())
                    .toList();
            if (!its.isEmpty() && its.size() < figures.size()) {
                repeats()
                        .forEach(made -> rivals.add(new Rival(
                                its.stream()
                                        .map(one -> pattern(made, figure -> figure.equals(one) ? 1 : 0))
                                        .toList(),
                                Double.POSITIVE_INFINITY)));
            }
        }
        return rivals;
    }

    /** Returns what each figure moves by when a place shows a little more, rad or mm; empty where nothing does. */
    private Map<FigureId, Double> slope(Place place, Map<String, Double> read) {
        Double was = read.get(place.id());
        if (was == null) {
            return Map.of();
        }
        double amount = place.amount().quantity().toDocument(place.standardUncertainty());
        Map<String, Double> more = new HashMap<>(read);
        more.put(place.id(), was + amount);
        Map<FigureId, Double> before = values.apply(read);
        Map<FigureId, Double> slope = new HashMap<>();
        values.apply(more).forEach((figure, value) -> {
            Double from = before.get(figure);
            if (from != null && Math.abs(value - from) > LEAST_SLOPE) {
                slope.put(figure, value - from);
            }
        });
        return slope;
    }

    private double[] pattern(Predicate<Integer> made, List<Map<FigureId, Double>> ofRepeats) {
        return IntStream.range(0, readings.size() * figures.size())
                .mapToDouble(i -> made.test(i / figures.size())
                        ? ofRepeats.get(i / figures.size()).getOrDefault(figures.get(i % figures.size()), 0.0)
                        : 0)
                .toArray();
    }

    double[] pattern(Predicate<Integer> made, ToIntFunction<FigureId> ofFigure) {
        return IntStream.range(0, readings.size() * figures.size())
                .mapToDouble(
                        i -> made.test(i / figures.size()) ? ofFigure.applyAsInt(figures.get(i % figures.size())) : 0)
                .toArray();
    }

    /** All repeats, and each by itself. */
    List<Predicate<Integer>> repeats() {
        List<Predicate<Integer>> repeats = new ArrayList<>(EVERY);
        if (readings.size() > 1) {
            IntStream.range(0, readings.size()).forEach(only -> repeats.add(i -> i == only));
        }
        return repeats;
    }
}
