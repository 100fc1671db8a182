package app.galdrin.web.sketch;

import app.galdrin.core.spec.VehicleGeometry;

/** Drawing of a vehicle by itself, with a letter at each dimension of its sheet. One class is registered for it. */
public interface VehicleDrawing {

    /** Lying, front to the left, or upright. */
    Drawing draw(VehicleGeometry geometry, boolean upright);
}
