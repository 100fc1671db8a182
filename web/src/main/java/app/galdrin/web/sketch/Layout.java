package app.galdrin.web.sketch;

import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.List;
import java.util.Set;

/**
 * Layout of a procedure's sketch: with a field for every place that is asked. A class that says {@code @AutoService(Layout.class)} is
 * the layout of its procedures; nothing else lists them.
 */
public interface Layout {

    /** Keys of the procedures it draws. */
    Set<String> procedures();

    /** The vehicle to its proportions, lying or upright for a narrow screen. */
    Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright);
}
