package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import java.util.Map;

/**
 * The true state of a vehicle that a reading is simulated on.
 *
 * @param figures rad or mm; what is left out is 0
 */
public record Truth(Map<FigureId, Double> figures) {

    public Truth {
        figures = Map.copyOf(figures);
    }

    public double of(Measurand measurand, Wheel wheel) {
        return of(FigureId.of(measurand, wheel));
    }

    public double of(FigureId figure) {
        return figures.getOrDefault(figure, 0.0);
    }
}
