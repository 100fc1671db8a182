package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** A raised wheel from outside with the mark that is turned a quarter at a time, the reading of each quarter where its mark then stands. */
@AutoService(Layout.class)
public final class RunOutLayout implements Layout {

    private static final double HEIGHT = 380;
    private static final double TYRE = 88;
    private static final double RIM = 58;

    @Override
    public Set<String> procedures() {
        return Set.of("runOut");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        var panels = new Panels(asked, upright, HEIGHT);
        Pen pen = new Pen();
        Map<String, Box> fields = new HashMap<>();
        for (Wheel wheel : panels.wheels()) {
            panel(pen, panels, wheel, fields);
        }
        return pen.drawing(panels.width(), panels.height(), fields);
    }

    /** Distance of the turn's arrow beyond the tyre. */
    private static final double TURN = TYRE + 8;

    private static void panel(Pen pen, Panels panels, Wheel wheel, Map<String, Box> fields) {
        double x = panels.x(wheel) + panels.panelWidth() / 2;
        double y = panels.y(wheel) + 192;
        // from outside a left wheel's front lies to the left: rolled forward its mark goes that way
        int forward = wheel.left() ? -1 : 1;
        pen.circle("tyre", x, y, TYRE);
        pen.circle("rim-edge", x, y, RIM);
        pen.circle("body", x, y, 12);
        // the straightedge with the gauge stays upright, whatever the wheel does
        pen.outline("tool", x - 4, y - RIM - 4, x + 4, y - RIM - 4, x + 4, y + RIM + 4, x - 4, y + RIM + 4);
        pen.outline("gauge", x - 13, y - 10, x + 13, y - 10, x + 13, y + 10, x - 13, y + 10);
        List<Place> places = panels.places(wheel);
        for (int i = 0; i < places.size(); i++) {
            fields.put(places.get(i).id(), quarter(pen, panels, x, y, forward, i));
        }
        turn(pen, x, y, forward);
        words(pen, panels, wheel, x, y, forward);
    }

    /** A quarter turn: its mark beyond the rim, and the field of its reading beside it. */
    private static Box quarter(Pen pen, Panels panels, double x, double y, int forward, int i) {
        double turned = Math.toRadians(forward * 90.0 * i - 90);
        double mark = RIM + 14;
        double markX = x + mark * Math.cos(turned);
        double markY = y + mark * Math.sin(turned);
        pen.circle(i == 0 ? "sense" : "witness", markX, markY, 4);
        double w = panels.isUpright() ? 98 : 104;
        double h = 58;
        double[] at = switch (i) {
            case 0 -> new double[] {x - w / 2, y - TYRE - 14 - h};
            case 1 -> new double[] {forward > 0 ? x + TYRE + 6 : x - TYRE - 6 - w, y - h / 2};
            case 2 -> new double[] {x - w / 2, y + TYRE + 16};
            default -> new double[] {forward > 0 ? x - TYRE - 6 - w : x + TYRE + 6, y - h / 2};
        };
        double edgeX = x + (TYRE + 5) * Math.cos(turned);
        double edgeY = y + (TYRE + 5) * Math.sin(turned);
        pen.line("leader", markX, markY, edgeX, edgeY);
        return new Box(at[0], at[1], w, h + (panels.isUpright() ? 8 : 0));
    }

    /** Draws the direction in which the wheel is turned. */
    private static void turn(Pen pen, double x, double y, int forward) {
        double r = TURN;
        double from = Math.toRadians(-66);
        double to = Math.toRadians(-36);
        pen.bow(
                "sense",
                x + forward * r * Math.cos(from),
                y + r * Math.sin(from),
                x + forward * r * Math.cos(to),
                y + r * Math.sin(to),
                r,
                forward > 0);
        pen.arrow(
                "sense-head",
                x + forward * r * Math.cos(to),
                y + r * Math.sin(to),
                x + forward * r * Math.cos(to - 0.1),
                y + r * Math.sin(to - 0.1));
    }

    private static void words(Pen pen, Panels panels, Wheel wheel, double x, double y, int forward) {
        double r = TURN;
        pen.label(
                "view-name",
                panels.x(wheel) + 14,
                panels.y(wheel) + 18,
                "start",
                "sketch.fromOutside",
                "wheel." + wheel.key());
        pen.label(
                "sense-words", x + forward * r * 0.9, y - r * 0.8, forward > 0 ? "start" : "end", "sketch.turnQuarter");
        pen.label("note", panels.x(wheel) + 14, panels.y(wheel) + HEIGHT - 14, "start", "sketch.raised");
    }
}
