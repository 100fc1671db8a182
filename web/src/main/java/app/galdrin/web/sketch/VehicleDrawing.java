package app.galdrin.web.sketch;

import app.galdrin.core.spec.VehicleGeometry;
import java.util.Map;

/** Drawing of a vehicle by itself. One class is registered for it. */
public interface VehicleDrawing {

    /** Draws it with a letter at each dimension of its sheet: lying, front to the left, or upright. */
    Drawing draw(VehicleGeometry geometry, boolean upright);

    /** Draws its front axle from above with the number of each part by the part's key, at every place where there is such a part. */
    Drawing axle(VehicleGeometry geometry, Map<String, Integer> numbers);

    /** Draws it from above, front up, without letters and dimensions. */
    Drawing above(VehicleGeometry geometry);
}
