package app.galdrin.core.marking;

import app.galdrin.core.reference.VehicleHistory;
import java.util.Set;

/**
 * States of a vehicle that a sitting is marked against, each known from everybody who read it.
 *
 * @param asFound id of the state it began on
 * @param asLeft id of the state its last round made; of no state where it made none
 * @param without ids of those who are marked
 */
public record StateReferences(VehicleHistory history, String asFound, String asLeft, Set<String> without) {

    public StateReferences {
        without = Set.copyOf(without);
    }

    StateFigures found() {
        return new StateFigures(history, asFound, without);
    }

    StateFigures left() {
        return new StateFigures(history, asLeft, without);
    }
}
