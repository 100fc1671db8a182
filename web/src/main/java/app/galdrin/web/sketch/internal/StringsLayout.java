package app.galdrin.web.sketch.internal;

import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Set;

/** The layout of the two strings, on stands or between battens, drawn by {@link StringsDrawing}. */
@AutoService(Layout.class)
public final class StringsLayout implements Layout {

    @Override
    public Set<String> procedures() {
        return Set.of("strings", "battens");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        VehicleGeometry geometry = sheet.geometry();
        boolean battens = asked.stream().anyMatch(p -> p.reading().is("notches"));
        return new StringsDrawing(geometry, upright, battens).drawing();
    }
}
