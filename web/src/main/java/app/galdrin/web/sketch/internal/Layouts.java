package app.galdrin.web.sketch.internal;

import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.task.ToeMethod;
import app.galdrin.web.sketch.Drawing;

/** The layout of each method: the one place to add a new method's drawing. */
public final class Layouts {

    private Layouts() {}

    public static Drawing draw(VehicleGeometry geometry, ToeMethod method, boolean upright) {
        return switch (method) {
            case PLATES -> PlatesLayout.draw(geometry, upright);
            case STRINGS -> StringsLayout.draw(geometry, upright);
        };
    }
}
