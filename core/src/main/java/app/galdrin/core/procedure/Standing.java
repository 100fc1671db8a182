package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Map;

/**
 * What readings are taken on: a vehicle with its sheet, in a bay with its floor, and what was found of it before.
 *
 * @param own figures of the same state that steps before this one came to, rad or mm
 * @param chosen what was chosen for these readings: an option by the id of its choice
 */
public record Standing(
        SpecificationSheet sheet, BayFloor floor, Map<FigureId, Estimate> own, Map<String, String> chosen) {

    public Standing {
        own = Map.copyOf(own);
        chosen = Map.copyOf(chosen);
    }

    /** With nothing found before and nothing chosen. */
    public Standing(SpecificationSheet sheet, BayFloor floor) {
        this(sheet, floor, Map.of(), Map.of());
    }

    /** With figures found before, rad or mm. */
    public Standing with(Map<FigureId, Estimate> found) {
        return new Standing(sheet, floor, found, chosen);
    }

    /** In a bay with another floor. */
    public Standing on(BayFloor other) {
        return new Standing(sheet, other, own, chosen);
    }

    /** With an option by the id of its choice. */
    public Standing choosing(Map<String, String> options) {
        return new Standing(sheet, floor, own, options);
    }
}
