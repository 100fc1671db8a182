package app.galdrin.core.fault;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Map;

/**
 * State of a vehicle before a fault is set on it.
 *
 * @param figures rad or mm; one that nobody has read is missing
 * @param moved by how much each part was moved on the way to it, in its unit with its sign, by id of the part; one that was not moved is missing
 */
public record PresentState(Map<FigureId, Estimate> figures, Map<String, Double> moved) {

    public PresentState {
        figures = Map.copyOf(figures);
        moved = Map.copyOf(moved);
    }

    /**
     * Returns the state of a vehicle of which nothing was moved.
     *
     * @param figures rad or mm
     */
    public static PresentState reading(Map<FigureId, Estimate> figures) {
        return new PresentState(figures, Map.of());
    }
}
