package app.galdrin.web.sketch.internal;

import static app.galdrin.web.sketch.internal.FromAhead.RIM_BOTTOM;
import static app.galdrin.web.sketch.internal.FromAhead.RIM_TOP;
import static app.galdrin.web.sketch.internal.FromAhead.WHEEL_HALF;
import static app.galdrin.web.sketch.internal.FromAhead.WHEEL_HEIGHT;

import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.ReadingType.Subject;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** A wheel seen from ahead with a level on a straightedge across its rim. */
@AutoService(Layout.class)
public final class CamberLayout implements Layout {

    @Override
    public Set<String> procedures() {
        return Set.of("inclinometerZeroed", "inclinometer", "inclinometer90", "inclinometerTurned");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        return FromAhead.drawing(sheet, asked, upright, (pen, view, places, fields) -> {
            view.leaningWith(places, () -> level(pen, view));
            fields(pen, view, places, fields);
        });
    }

    /** A straightedge held to the rim by two feet, with the gauge on it. */
    private static void level(Pen pen, FromAhead view) {
        double near = WHEEL_HALF + 10;
        double h = WHEEL_HEIGHT;
        pen.outline("tool", view.leaning(near, h * 0.1, near + 7, h * 0.1, near + 7, h * 0.9, near, h * 0.9));
        for (double up : new double[] {RIM_BOTTOM, RIM_TOP}) {
            double[] foot = view.leaning(WHEEL_HALF, up, near, up);
            pen.line("rim", foot[0], foot[1], foot[2], foot[3]);
        }
        pen.outline(
                "tool", view.leaning(near + 7, h * 0.43, near + 33, h * 0.43, near + 33, h * 0.57, near + 7, h * 0.57));
        pen.outline(
                "gauge",
                view.leaning(near + 13, h * 0.47, near + 27, h * 0.47, near + 27, h * 0.53, near + 13, h * 0.53));
    }

    private static void fields(Pen pen, FromAhead view, List<Place> places, Map<String, Box> fields) {
        double width = 104;
        double height = 58;
        double near = view.width() * 0.29;
        double up = WHEEL_HEIGHT - 8;
        for (Place place : places) {
            double boxX = view.leftToRight() ? view.x(near) : view.x(near) - width;
            fields.put(place.id(), new Box(boxX, view.y(up), width, height));
            boolean floor = place.reading().subject() == Subject.FLOOR_SLOPE;
            double[] at = floor
                    ? new double[] {view.x(near * 0.9), view.y(0)}
                    : view.leaning(WHEEL_HALF + 43, WHEEL_HEIGHT / 2);
            pen.line("leader", at[0], at[1], view.x(near), view.y(up) + 20);
            up -= 108;
        }
    }
}
