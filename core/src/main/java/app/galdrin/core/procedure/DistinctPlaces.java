package app.galdrin.core.procedure;

import java.util.Map;
import java.util.function.UnaryOperator;

/** Two places that never read the same: where they do, one was copied from the other, or was read at the other wheel. */
public record DistinctPlaces(Place first, Place second) {

    private static final double SAME = 1e-9;

    DistinctPlaces at(UnaryOperator<Place> change) {
        return new DistinctPlaces(change.apply(first), change.apply(second));
    }

    /**
     * Returns whether both are there and the same; readings in mm or deg by place.
     *
     * @param readings mm or deg by place
     */
    public boolean alikeIn(Map<String, Double> readings) {
        Double one = readings.get(first.id());
        Double other = readings.get(second.id());
        return one != null && other != null && Math.abs(one - other) < SAME;
    }
}
