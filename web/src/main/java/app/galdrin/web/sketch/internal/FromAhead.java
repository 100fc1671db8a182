package app.galdrin.web.sketch.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.End;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Follow;
import app.galdrin.web.sketch.Shape;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A wheel seen from ahead, leaning as its sheet prefers, enlarged; the plumb line hangs where the wheel stands. Outboard is to the right
 * for a left wheel. Points are given as {@code out} from its contact with the floor and {@code up}, leaning with the wheel where said.
 */
final class FromAhead {

    /** The tool that leans with the wheel. */
    private static final String GAUGE = "gauge";

    private static final double HEIGHT = 340;
    private static final double HEIGHT_UPRIGHT = 350;
    static final double WHEEL_HEIGHT = 226;
    static final double WHEEL_HALF = 38;

    /** Height of the edges of the rim. */
    static final double RIM_BOTTOM = WHEEL_HEIGHT * 0.2;

    static final double RIM_TOP = WHEEL_HEIGHT * 0.8;

    /** Factor by which the lean is drawn enlarged, and the most that is drawn of it, rad. */
    private static final double ENLARGED = 6;

    private static final double MOST_DRAWN = Math.toRadians(9);
    private static final double GROUND = 292;

    private final Pen pen;
    private final Panels panels;
    private final Wheel wheel;
    private final double lean;
    private final double rim;
    private final int out;
    private final double contactX;
    private final double groundY;

    private FromAhead(Pen pen, Panels panels, Wheel wheel, SpecificationSheet sheet) {
        this.pen = pen;
        this.panels = panels;
        this.wheel = wheel;
        this.lean = drawnLean(sheet, wheel);
        this.rim = sheet.geometry().rim(wheel.axle());
        this.out = wheel.left() ? 1 : -1;
        double middle = panels.x(wheel) + panels.panelWidth() / 2;
        this.contactX = middle - out * panels.panelWidth() * 0.13;
        this.groundY = panels.y(wheel) + GROUND;
    }

    /** Tool that a wheel is measured with, drawn on its view. */
    interface Tool {
        void draw(Pen pen, FromAhead view, List<Place> places, Map<String, Box> fields);
    }

    /** Every wheel that is asked, with its tool. */
    static Drawing drawing(SpecificationSheet sheet, List<Place> asked, boolean upright, Tool tool) {
        var panels = new Panels(asked, upright, upright ? HEIGHT_UPRIGHT : HEIGHT);
        Pen pen = new Pen();
        Map<String, Box> fields = new HashMap<>();
        for (Wheel wheel : panels.wheels()) {
            var view = new FromAhead(pen, panels, wheel, sheet);
            view.draw(panels.places(wheel));
            tool.draw(pen, view, panels.places(wheel), fields);
        }
        return pen.drawing(panels.width(), panels.height(), fields);
    }

    /** Returns how wide the panel is. */
    double width() {
        return panels.panelWidth();
    }

    /** The lean that is drawn, rad, top outward positive. */
    static double drawnLean(SpecificationSheet sheet, Wheel wheel) {
        double preferred = sheet.limits(FigureId.of(Measurand.CAMBER, wheel))
                .map(Limits::target)
                .map(t -> t.orElse(0))
                .orElse(0.0);
        return Math.max(-MOST_DRAWN, Math.min(MOST_DRAWN, ENLARGED * preferred));
    }

    boolean leftToRight() {
        return out > 0;
    }

    double x(double outboard) {
        return contactX + out * outboard;
    }

    double y(double up) {
        return groundY - up;
    }

    /** A point that leans with the wheel: outboard of its middle plane and up along it. */
    double[] leaning(double outboard, double up) {
        return new double[] {
            x(outboard * Math.cos(lean) + up * Math.sin(lean)), y(up * Math.cos(lean) - outboard * Math.sin(lean))
        };
    }

    double[] leaning(double... outUp) {
        double[] xy = new double[outUp.length];
        for (int i = 0; i < xy.length; i += 2) {
            double[] point = leaning(outUp[i], outUp[i + 1]);
            xy[i] = point[0];
            xy[i + 1] = point[1];
        }
        return xy;
    }

    /** Draws what leans with the wheel as its reading is written. */
    void leaningWith(List<Place> places, Runnable drawing) {
        pen.following(List.of(follow(places)), drawing);
    }

    private Follow follow(List<Place> places) {
        List<Follow.Term> terms = new ArrayList<>();
        double leans = out * ENLARGED;
        long gauges = places.stream().filter(p -> p.tool().equals(GAUGE)).count();
        for (Place place : places) {
            if (place.tool().equals(GAUGE)) {
                terms.add(new Follow.Term(
                        place.id(), leans / gauges, place.reading().isFromPlumb() ? 90 : 0));
            } else if (place.reading().is("plumb")) {
                int way = place.end().equals(Optional.of(End.BOTTOM)) ? 1 : -1;
                terms.add(Follow.Term.of(place.id(), way * leans * Math.toDegrees(1 / rim)));
            }
        }
        return Follow.leaning(
                wheel.key(),
                contactX,
                groundY,
                out * Math.toDegrees(lean),
                Math.toDegrees(MOST_DRAWN),
                (int) ENLARGED,
                terms);
    }

    private void draw(List<Place> places) {
        floor();
        arms();
        leaningWith(places, this::tyre);
        pen.line("plumb", x(0), y(-5), x(0), y(WHEEL_HEIGHT + 26));
        sense();
        words();
    }

    private void floor() {
        double left = panels.x(wheel) + 14;
        double right = panels.x(wheel) + panels.panelWidth() - 14;
        pen.line("floor", left, groundY, right, groundY);
        for (double x = left + 4; x < right; x += 14) {
            pen.line("hatch", x, groundY, x - 6, groundY + 7);
        }
    }

    private void arms() {
        double hub = WHEEL_HEIGHT / 2;
        double in = -panels.panelWidth() * 0.3;
        pen.line("body", x(in), y(hub + 46), leaning(-WHEEL_HALF, hub + 40)[0], leaning(-WHEEL_HALF, hub + 40)[1]);
        pen.line("body", x(in), y(hub - 58), leaning(-WHEEL_HALF, hub - 46)[0], leaning(-WHEEL_HALF, hub - 46)[1]);
        pen.line("body", x(in + 12), y(hub - 8), leaning(-WHEEL_HALF, hub)[0], leaning(-WHEEL_HALF, hub)[1]);
        pen.line("body", x(in + 12), y(hub + 8), x(in + 12), y(hub - 24));
    }

    private void tyre() {
        double w = WHEEL_HALF;
        double h = WHEEL_HEIGHT;
        double c = 12;
        pen.outline("tyre", leaning(-w + c, 0, w - c, 0, w, c, w, h - c, w - c, h, -w + c, h, -w, h - c, -w, c));
        for (double up : new double[] {h * 0.2, h * 0.8}) {
            double[] rim = leaning(-w, up, w, up);
            pen.line("witness", rim[0], rim[1], rim[2], rim[3]);
        }
        double[] middle = leaning(0, -5, 0, h + 20);
        pen.line("centreline ink", middle[0], middle[1], middle[2], middle[3]);
    }

    /** The positive way, from the plumb line outward. */
    private void sense() {
        double up = WHEEL_HEIGHT + 30;
        pen.line("sense", x(4), y(up), x(34), y(up));
        pen.arrow("sense-head", x(40), y(up), x(20), y(up));
        pen.label("sense-words", x(46), y(up - 4), out > 0 ? "start" : "end", "sketch.topOut");
    }

    private void words() {
        double left = panels.x(wheel) + 14;
        double top = panels.y(wheel) + 18;
        pen.label("view-name", left, top, "start", "sketch.fromAhead", "wheel." + wheel.key());
        pen.label("plumb-words", x(-8), y(WHEEL_HEIGHT + 26), out > 0 ? "end" : "start", "sketch.plumb");
        pen.label("note", left, groundY + 20, "start", "sketch.leanEnlarged");
        pen.label(Shape.RULE_OF_THUMB, left, groundY + 35, "start", "sketch.onTheRim");
    }
}
