package app.galdrin.web.sketch.internal;

import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Drawing;
import com.google.auto.service.AutoService;

/** The layout of the two strings, drawn by {@link StringsDrawing}. */
@AutoService(Layout.class)
public final class StringsLayout implements Layout {

    @Override
    public String method() {
        return "strings";
    }

    @Override
    public Drawing draw(VehicleGeometry geometry, boolean upright) {
        return new StringsDrawing(geometry, upright).drawing();
    }
}
