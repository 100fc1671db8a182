package app.galdrin.web.sketch.internal;

import static app.galdrin.web.sketch.internal.FromAhead.RIM_BOTTOM;
import static app.galdrin.web.sketch.internal.FromAhead.RIM_TOP;
import static app.galdrin.web.sketch.internal.FromAhead.WHEEL_HALF;
import static app.galdrin.web.sketch.internal.FromAhead.WHEEL_HEIGHT;

import app.galdrin.core.procedure.End;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** A wheel seen from ahead with a plumb line hung outboard of it, and a rule from the line to the rim, top and bottom. */
@AutoService(Layout.class)
public final class PlumbLayout implements Layout {

    /** Distance from the wheel's middle plane to the line, drawing units; it clears a wheel that leans as far as is drawn. */
    private static final double LINE_OUT = 92;

    @Override
    public Set<String> procedures() {
        return Set.of("plumbRule");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        return FromAhead.drawing(sheet, asked, upright, (pen, view, places, fields) -> {
            line(pen, view);
            places.forEach(place -> gap(pen, view, place, fields));
        });
    }

    /** Held at its upper end, with a bob at its lower one just off the floor. */
    private static void line(Pen pen, FromAhead view) {
        double top = WHEEL_HEIGHT + 8;
        double bob = 12;
        pen.line("string", view.x(LINE_OUT), view.y(top), view.x(LINE_OUT), view.y(bob));
        pen.line("tool", view.x(LINE_OUT - 14), view.y(top), view.x(LINE_OUT + 14), view.y(top));
        pen.outline(
                "tool",
                view.x(LINE_OUT - 5),
                view.y(bob + 6),
                view.x(LINE_OUT + 5),
                view.y(bob + 6),
                view.x(LINE_OUT),
                view.y(bob - 8));
        pen.label(
                "string-name",
                view.x(LINE_OUT + 10),
                view.y(WHEEL_HEIGHT / 2) + 4,
                view.leftToRight() ? "start" : "end",
                "sketch.plumbLine");
    }

    private static void gap(Pen pen, FromAhead view, Place place, Map<String, Box> fields) {
        double up = place.end().orElseThrow() == End.TOP ? RIM_TOP : RIM_BOTTOM;
        double[] rim = view.leaning(WHEEL_HALF, up);
        pen.dimension(rim[0], rim[1], view.x(LINE_OUT), rim[1]);
        double width = 104;
        double height = 58;
        double near = Math.max(LINE_OUT + 22, view.width() * 0.29);
        double y = rim[1] - height / 2;
        fields.put(place.id(), new Box(view.leftToRight() ? view.x(near) : view.x(near) - width, y, width, height));
        pen.line("leader", view.x(LINE_OUT + 3), rim[1], view.x(near), rim[1]);
    }
}
