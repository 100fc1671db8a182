package app.galdrin.core.procedure;

import app.galdrin.core.equipment.Kit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Map;

/**
 * Context of a measurement: a vehicle with its sheet, a bay with its floor, the equipment, and figures found before.
 *
 * @param kit what it is measured with
 * @param own figures of the same state that steps before this one came to, rad or mm
 * @param chosen what was chosen for these readings: an option by the id of its choice
 */
public record MeasuringContext(
        SpecificationSheet sheet, BayFloor floor, Kit kit, Map<FigureId, Estimate> own, Map<String, String> chosen) {

    public MeasuringContext {
        own = Map.copyOf(own);
        chosen = Map.copyOf(chosen);
    }

    /** Creates a context with the usual equipment, nothing found before and nothing chosen. */
    public MeasuringContext(SpecificationSheet sheet, BayFloor floor) {
        this(sheet, floor, Kit.USUAL, Map.of(), Map.of());
    }

    /** Returns the context with other equipment. */
    public MeasuringContext with(Kit other) {
        return new MeasuringContext(sheet, floor, other, own, chosen);
    }

    /** Returns the context with figures found before, rad or mm. */
    public MeasuringContext with(Map<FigureId, Estimate> found) {
        return new MeasuringContext(sheet, floor, kit, found, chosen);
    }

    /** Returns the context in a bay with another floor. */
    public MeasuringContext on(BayFloor other) {
        return new MeasuringContext(sheet, other, kit, own, chosen);
    }

    /** Returns the context with options chosen, by the id of each choice. */
    public MeasuringContext choosing(Map<String, String> options) {
        return new MeasuringContext(sheet, floor, kit, own, options);
    }
}
