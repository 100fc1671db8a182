package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Follow;
import app.galdrin.web.sketch.Layout;
import app.galdrin.web.sketch.Shape;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** One end of a beam axle from ahead: the kingpin leaning inward, a protractor across the knuckle and one across the frame. */
@AutoService(Layout.class)
public final class AxisAcrossLayout implements Layout {

    private static final double HEIGHT = 360;
    private static final double HEIGHT_UPRIGHT = 440;
    private static final double LEAN = Math.toRadians(10);
    private static final double MOST = 20;

    @Override
    public Set<String> procedures() {
        return Set.of("protractorKpi");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        var panels = new Panels(asked, upright, upright ? HEIGHT_UPRIGHT : HEIGHT);
        Pen pen = new Pen();
        Map<String, Box> fields = new HashMap<>();
        for (Wheel wheel : panels.wheels()) {
            panel(pen, panels, wheel, upright, fields);
        }
        return pen.drawing(panels.width(), panels.height(), fields);
    }

    /** Seen from ahead the vehicle's left lies to the right. */
    private static void panel(Pen pen, Panels panels, Wheel wheel, boolean upright, Map<String, Box> fields) {
        double left = panels.x(wheel);
        double top = panels.y(wheel);
        double width = panels.panelWidth();
        int out = wheel.left() ? 1 : -1;
        double x = left + width / 2 - out * (upright ? 10 : 50);
        double y = top + 210;
        frame(pen, x, y, out, width);
        beam(pen, x, y, out, width);
        var follow = Follow.leaning(
                wheel.key(),
                x,
                y,
                -out * Math.toDegrees(LEAN),
                MOST,
                1,
                List.of(Follow.Term.of(wheel.key() + ".across", -out)));
        pen.line("plumb", x, y - 100, x, y + 66);
        pen.following(List.of(follow), () -> knuckle(pen, x, y, out));
        double w = upright ? 112 : 108;
        double h = upright ? 66 : 58;
        for (Place place : panels.places(wheel)) {
            boolean across = place.reading().is("across");
            double fy = across ? (upright ? top + 344 : y - 40) : top + 44;
            double fx = out > 0 ? left + width - w - 14 : left + 14;
            double[] to =
                    across ? lean(x, y, out, 0, 62) : new double[] {x - out * Math.min(96, width * 0.23), y - 118};
            pen.line("leader", to[0] + out * 14, to[1], out > 0 ? fx : fx + w, fy + h / 3);
            fields.put(place.id(), new Box(fx, fy, w, h));
        }
        pen.label("view-name", left + 14, top + 18, "start", "sketch.fromAhead", "wheel." + wheel.key());
        pen.label("plumb-words", x + out * 6, y + 74, out > 0 ? "start" : "end", "sketch.plumb");
        pen.label(
                Shape.RULE_OF_THUMB,
                left + width / 2,
                top + (upright ? 428 : HEIGHT - 10),
                "middle",
                "sketch.axisAcross.sign");
        double r = 86;
        double toX = x - out * r * Math.sin(LEAN);
        double toY = y - r * Math.cos(LEAN);
        pen.bow("sense", x, y - r, toX, toY, r, out < 0);
        pen.arrow("sense-head", toX, toY, toX + out * 8, toY - 1);
        pen.label("sense-words", toX - out * 8, toY - 4, out > 0 ? "end" : "start", "sketch.topIn");
    }

    /** Returns the point out from the pin's foot and up along it, leaning inward. */
    private static double[] lean(double x, double y, int out, double outward, double up) {
        return new double[] {
            x + out * (outward * Math.cos(LEAN) - up * Math.sin(LEAN)),
            y - (up * Math.cos(LEAN) + outward * Math.sin(LEAN))
        };
    }

    private static double[] lean(double x, double y, int out, double... outUp) {
        double[] xy = new double[outUp.length];
        for (int i = 0; i < xy.length; i += 2) {
            double[] point = lean(x, y, out, outUp[i], outUp[i + 1]);
            xy[i] = point[0];
            xy[i + 1] = point[1];
        }
        return xy;
    }

    private static void frame(Pen pen, double x, double y, int out, double width) {
        double at = x - out * Math.min(96, width * 0.23);
        pen.outline("ink", at - 16, y - 104, at + 16, y - 104, at + 16, y - 62, at - 16, y - 62);
        pen.halfDisc(at, y - 104, 0, 22);
        pen.line("plumb", at, y - 104, at, y - 126);
    }

    private static void beam(Pen pen, double x, double y, int out, double width) {
        double in = Math.min(150, width * 0.34);
        pen.polyline("ink", x - out * in, y - 12, x - out * 52, y - 12, x - out * 18, y - 26);
        pen.polyline("ink", x - out * in, y + 12, x - out * 44, y + 12, x - out * 12, y + 24);
        pen.polyline("body", x - out * in, y - 60, x - out * (in - 50), y - 60, x - out * (in - 50), y - 14);
    }

    private static void knuckle(Pen pen, double x, double y, int out) {
        pen.outline("ink", lean(x, y, out, -14, 40, 14, 40, 16, -38, -16, -38));
        pen.outline("ink", lean(x, y, out, -22, 48, 22, 48, 22, 40, -22, 40));
        pen.polyline("body", lean(x, y, out, 16, 6, 92, 6));
        pen.outline("tyre", x + out * 60, y - 78, x + out * 118, y - 78, x + out * 118, y + 100, x + out * 60, y + 100);
        double[] pin = lean(x, y, out, 0, 100, 0, -66);
        pen.line("centreline ink", pin[0], pin[1], pin[2], pin[3]);
        double[] cap = lean(x, y, out, 0, 48);
        pen.halfDisc(cap[0], cap[1], -out * LEAN, 20);
    }
}
