package app.galdrin.web.sketch.internal;

import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Drawing;

/**
 * How a method's sketch is drawn: with a field for every place of the method. A class that says
 * {@code @AutoService(Layout.class)} is the layout of its method; nothing else lists them.
 */
public interface Layout {

    /** Key of the method it draws. */
    String method();

    /** The vehicle to its proportions, lying or upright for a narrow screen. */
    Drawing draw(VehicleGeometry geometry, boolean upright);
}
