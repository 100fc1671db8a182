package app.galdrin.core.fault;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/**
 * Request of an instructor for what a vehicle shall read.
 *
 * @param present as it is now
 * @param wanted values of figures of wheels, rad or mm; every other figure that a part moves is to stay as it is
 */
public record FaultRequest(
        SpecificationSheet sheet, PresentState present, Map<FigureId, Double> wanted, RoadLimits road) {

    public FaultRequest {
        wanted = Map.copyOf(wanted);
    }

    /** Returns what its figures are now, rad or mm; a figure that nobody has read is missing. */
    public Map<FigureId, Estimate> now() {
        return present.figures();
    }

    /** Returns every figure of a wheel that some part of the sheet moves by a known amount, in the order of the quantities. */
    public static List<FigureId> movable(SpecificationSheet sheet) {
        var figures = new TreeSet<FigureId>();
        for (Adjuster part : sheet.adjusters()) {
            part.effects().forEach((figure, effect) -> {
                if (effect.perUnit().isPresent()) {
                    figures.add(figure);
                }
            });
        }
        return List.copyOf(figures);
    }
}
