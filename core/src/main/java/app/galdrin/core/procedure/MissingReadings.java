package app.galdrin.core.procedure;

import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The places of an evaluation that have no reading. A figure does without them where it comes out the same whatever stands there: several
 * readings are put in their place, and what agrees in all of them is kept.
 */
final class MissingReadings {

    /** The amounts by which trial readings differ, in millimetres or tenths of a degree; none is a multiple of another. */
    private static final double[] OFF = {0, 3, -5};

    /** Each place moves by another amount, so that no difference and no sum of them stays as it was. */
    private static final double SPREAD = 0.381966;

    private static final double TENTH = 0.1;

    private final List<Place> places;
    private final Map<String, Double> readings;

    private MissingReadings(List<Place> places, Map<String, Double> readings) {
        this.places = places;
        this.readings = readings;
    }

    /** Empty where every place has its reading. */
    static Optional<MissingReadings> of(List<Place> places, Map<String, Double> readings) {
        for (Place place : places) {
            if (!readings.containsKey(place.id())) {
                return Optional.of(new MissingReadings(places, readings));
            }
        }
        return Optional.empty();
    }

    /**
     * Returns what comes out whatever stands at the missing places.
     *
     * @param work works readings, mm or deg by place; empty where they can't be worked
     * @param agreeing what two results have in common
     */
    <T> Optional<T> settled(Function<Map<String, Double>, Optional<T>> work, BinaryOperator<T> agreeing) {
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        Optional<T> settled = Optional.empty();
        for (double off : OFF) {
            Optional<T> worked = work.apply(filled(off));
            if (worked.isEmpty()) {
                return Optional.empty();
            }
            settled = settled.isEmpty() ? worked : Optional.of(agreeing.apply(settled.get(), worked.get()));
        }
        return settled;
    }

    private Map<String, Double> filled(double off) {
        Map<String, Double> filled = new HashMap<>(readings);
        int index = 0;
        for (Place place : places) {
            if (!readings.containsKey(place.id())) {
                double unit = place.amount().quantity() == Quantity.ANGLE ? TENTH : 1;
                filled.put(place.id(), likely(place) + off * unit * (1 + SPREAD * index++));
            }
        }
        return filled;
    }

    /** Returns what is read at another such place of the vehicle, so that it can be worked; mm or deg. */
    private double likely(Place place) {
        return places.stream()
                .filter(p -> p.reading().equals(place.reading()))
                .flatMap(p -> Optional.ofNullable(readings.get(p.id())).stream())
                .mapToDouble(v -> v)
                .average()
                .orElse((place.amount().least() + place.amount().most()) / 2);
    }

    /** Returns whether any of the missing readings goes into an estimate's doubt. */
    boolean doubt(Estimate estimate, Function<Place, DoubtSource> ofReading) {
        Set<DoubtSource> sources = places.stream()
                .filter(p -> !readings.containsKey(p.id()))
                .map(ofReading)
                .collect(Collectors.toSet());
        var any = new AtomicBoolean();
        estimate.budget().forEach((source, part) -> any.compareAndSet(false, part != 0 && sources.contains(source)));
        return any.get();
    }

    /** Returns what is in both and the same. */
    static <K> Map<K, Double> agreeing(Map<K, Double> one, Map<K, Double> other) {
        Map<K, Double> same = new LinkedHashMap<>(one);
        same.entrySet().removeIf(e -> !agree(e.getValue(), other.getOrDefault(e.getKey(), Double.NaN)));
        return same;
    }

    static boolean agree(double one, double other) {
        return Tolerance.ROUNDING.equal(one, other);
    }
}
