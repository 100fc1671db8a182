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

/** One end of a beam axle from outside, front to the left for a left wheel: the frame on its springs, the pad and the knuckle below. */
@AutoService(Layout.class)
public final class AxisLayout implements Layout {

    private static final double HEIGHT = 400;
    private static final double HEIGHT_UPRIGHT = 524;

    /** Lean with which the axle and the frame are drawn, so that it is seen. */
    private static final double LEAN = Math.toRadians(9);

    private static final double FALL = Math.toRadians(3);
    private static final int ENLARGED = 3;
    private static final double MOST = 20;

    @Override
    public Set<String> procedures() {
        return Set.of("protractor");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        var panels = new Panels(asked, upright, upright ? HEIGHT_UPRIGHT : HEIGHT);
        Pen pen = new Pen();
        Map<String, Box> fields = new HashMap<>();
        for (Wheel wheel : panels.wheels()) {
            new Panel(pen, panels, wheel, upright).draw(fields);
        }
        return pen.drawing(panels.width(), panels.height(), fields);
    }

    private static final class Panel {
        private final Pen pen;
        private final Panels panels;
        private final Wheel wheel;
        private final double left;
        private final double top;
        private final double width;
        private final boolean upright;
        /** The middle of the kingpin. */
        private final double x;

        private final double y;
        private final int rear;

        Panel(Pen pen, Panels panels, Wheel wheel, boolean upright) {
            this.pen = pen;
            this.panels = panels;
            this.wheel = wheel;
            this.upright = upright;
            this.left = panels.x(wheel);
            this.top = panels.y(wheel);
            this.width = panels.panelWidth();
            this.rear = wheel.left() ? 1 : -1;
            this.x = left + (upright ? width / 2 : width / 2 - rear * width * 0.14);
            this.y = top + (upright ? 294 : 270);
        }

        private double x(double back) {
            return x + rear * back;
        }

        /** A point of the axle's end, up along the leaning pin and back square to it. */
        private double[] leaning(double... backUp) {
            double[] xy = new double[backUp.length];
            for (int i = 0; i < xy.length; i += 2) {
                double back = backUp[i] * Math.cos(LEAN) + backUp[i + 1] * Math.sin(LEAN);
                double up = backUp[i + 1] * Math.cos(LEAN) - backUp[i] * Math.sin(LEAN);
                xy[i] = x(back);
                xy[i + 1] = y - up;
            }
            return xy;
        }

        void draw(Map<String, Box> fields) {
            boolean knuckle =
                    panels.places(wheel).stream().anyMatch(p -> p.reading().is("knuckle"));
            String leans = wheel.key() + (knuckle ? ".knuckle" : ".pad");
            pen.following(List.of(follow(wheel.key() + ".frame", x, y - 176, FALL)), this::frame);
            springs();
            pen.line("plumb", x(0), y - 118, x(0), y + 64);
            pen.following(List.of(follow(leans, x, y, LEAN)), this::axle);
            for (Place place : panels.places(wheel)) {
                field(place, fields);
            }
            words();
        }

        /** Turns what leans back or falls to the rear that way, enlarged. */
        private Follow follow(String place, double aboutX, double aboutY, double drawn) {
            return Follow.leaning(
                    place,
                    aboutX,
                    aboutY,
                    rear * Math.toDegrees(drawn),
                    MOST,
                    ENLARGED,
                    List.of(Follow.Term.of(place, rear * ENLARGED)));
        }

        private double frameY(double back) {
            return y - 176 + back * Math.tan(FALL);
        }

        private void frame() {
            double reach = Math.min(150, width * 0.32);
            for (double below : new double[] {0, 14}) {
                pen.line("ink", x(-reach), frameY(-reach) + below, x(reach), frameY(reach) + below);
            }
            protractor(x(-reach * 0.55), frameY(-reach * 0.55), rear * FALL, 26);
        }

        /** A half disc on a face that is turned by an angle on the paper. */
        private void protractor(double atX, double atY, double turned, double radius) {
            pen.halfDisc(atX, atY, turned, radius);
            pen.line("plumb", atX, atY, atX, atY - radius);
        }

        private void springs() {
            double reach = Math.min(132, width * 0.29);
            pen.line("body", x(-reach), frameY(-reach) + 14, x(-reach), y - 96);
            pen.line("body", x(reach), frameY(reach) + 14, x(reach), y - 96);
            for (int leaf = 0; leaf < 3; leaf++) {
                double half = reach - leaf * 26;
                double up = y - 96 + leaf * 9;
                double sag = y - 62 + leaf * 7;
                int points = 12;
                double[] xy = new double[2 * (points + 1)];
                for (int i = 0; i <= points; i++) {
                    double along = 2.0 * i / points - 1;
                    xy[2 * i] = x(along * half);
                    xy[2 * i + 1] = sag + (up - sag) * along * along;
                }
                pen.polyline("body", xy);
            }
        }

        private void axle() {
            pen.outline("ink", leaning(-30, 46, 30, 46, 30, 30, -30, 30));
            pen.outline("ink", leaning(-18, 30, 18, 30, 20, -34, -20, -34));
            pen.outline("ink", leaning(-34, -34, 34, -34, 34, -44, -34, -44));
            double[] pin = leaning(0, 96, 0, -70);
            pen.line("centreline ink", pin[0], pin[1], pin[2], pin[3]);
            pen.circle("body", x(0), y + 4, 58);
            double[] pad = leaning(0, 46);
            double[] knuckle = leaning(0, -44);
            protractor(pad[0], pad[1], rear * LEAN, 22);
            // held up against the knuckle from below
            pen.halfDisc(knuckle[0], knuckle[1], Math.PI + rear * LEAN, 22);
        }

        private void field(Place place, Map<String, Box> fields) {
            double w = upright ? 112 : 108;
            double h = upright ? 66 : 58;
            double outer = rear > 0 ? left + width - w - 12 : left + 12;
            double[] to;
            double fy;
            double fx = outer;
            switch (place.reading().key()) {
                case "frame" -> {
                    to = new double[] {x(-60), frameY(-60) - 14};
                    fy = top + (upright ? 34 : 40);
                    // clear of the protractor, which lies toward the front
                    fx = upright ? (rear > 0 ? left + width - w - 12 : left + 12) : fx;
                }
                case "pad" -> {
                    to = leaning(upright ? -rear * 22 : 24, 56);
                    fy = upright ? top + 424 : y - 78;
                    fx = upright ? left + 30 : fx;
                }
                default -> {
                    to = leaning(upright ? rear * 20 : 24, -56);
                    fy = upright ? top + 424 : y + 14;
                    fx = upright ? left + width - w - 30 : fx;
                }
            }
            double nearX = fx + w / 2 > to[0] ? fx : fx + w;
            if (upright && !place.reading().is("frame")) {
                nearX = fx + w / 2;
            }
            pen.line("leader", to[0], to[1], nearX, fy + (upright ? 0 : h / 3));
            fields.put(place.id(), new Box(fx, fy, w, h));
        }

        private void words() {
            pen.label("view-name", left + 14, top + 18, "start", "sketch.fromOutside", "wheel." + wheel.key());
            double noteX = x(-width * 0.3);
            pen.label("note", noteX, frameY(-100) - 8, rear > 0 ? "start" : "end", "sketch.frame");
            pen.label("plumb-words", x(0) - rear * 6, y - 108, rear > 0 ? "end" : "start", "sketch.plumb");
            double arrowFrom = x(-width * 0.2);
            double arrowY = upright ? 396 : 372;
            pen.pointer(arrowFrom, top + arrowY, arrowFrom - rear * 34, top + arrowY);
            pen.label("note", arrowFrom + rear * 6, top + arrowY + 4, rear > 0 ? "start" : "end", "sketch.front");
            pen.label(Shape.RULE_OF_THUMB, left + width / 2, top + (upright ? 512 : 392), "middle", "sketch.axis.sign");
        }
    }
}
