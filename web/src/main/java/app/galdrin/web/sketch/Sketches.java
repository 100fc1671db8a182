package app.galdrin.web.sketch;

import app.galdrin.core.measure.Place;
import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Sketch.SketchPlace;
import app.galdrin.web.sketch.internal.Layouts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;

/** Sketches of vehicles and methods, and the style sheet that puts their fields in place. */
public final class Sketches {

    private Sketches() {}

    /** The sketch of a method on a vehicle; {@code sheetId} only names it. */
    public static Sketch of(UUID sheetId, VehicleGeometry geometry, ToeMethod method) {
        return new Sketch(
                "sk-" + sheetId + "-" + method.key(),
                places(method),
                Layouts.of(method).draw(geometry, false),
                Layouts.of(method).draw(geometry, true));
    }

    private static List<SketchPlace> places(ToeMethod method) {
        List<SketchPlace> places = new ArrayList<>();
        for (Place place : method.places()) {
            String words = "place." + place.id();
            places.add(new SketchPlace(place.id(), places.size() + 1, place.eachRepeat(), words + ".short", words));
        }
        return places;
    }

    /**
     * Positions as a style sheet of their own, since the content security policy allows no style attributes. Everything
     * is a share of the sketch's size, so fields and strokes keep together at any width.
     */
    public static String styleSheet(Sketch sketch) {
        StringBuilder css = new StringBuilder();
        positions(css, sketch, sketch.lying());
        css.append("@container sketch (max-width: 620px) {\n");
        positions(css, sketch, sketch.upright());
        css.append("}\n");
        return css.toString();
    }

    private static void positions(StringBuilder css, Sketch sketch, Drawing drawing) {
        for (SketchPlace place : sketch.places()) {
            Box box = boxOf(drawing.fields(), place.id());
            css.append(String.format(
                    Locale.ROOT,
                    ".%s .%s { left: %.3f%%; top: %.3f%%; width: %.3f%%; height: %.3f%% }%n",
                    sketch.key(),
                    place.style(),
                    100 * box.x() / drawing.width(),
                    100 * box.y() / drawing.height(),
                    100 * box.width() / drawing.width(),
                    100 * box.height() / drawing.height()));
        }
    }

    private static Box boxOf(Map<String, Box> boxes, String place) {
        Box box = boxes.get(place);
        if (box == null) {
            throw new IllegalStateException("no field drawn for " + place);
        }
        return box;
    }
}
