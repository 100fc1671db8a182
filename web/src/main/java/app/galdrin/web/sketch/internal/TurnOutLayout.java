package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
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

/**
 * Layout of both fronts on their plates at a lock, front up, a panel a lock. The lines through the hubs, square to the wheels, should meet on the
 * line of the rear axle, which is drawn nearer than it is.
 */
@AutoService(Layout.class)
public final class TurnOutLayout implements Layout {

    private static final double PANEL = 420;
    private static final double HEIGHT = 362;
    private static final double INNER = Math.toRadians(36);
    private static final double MOST_TURNED = 60;
    private static final double PLATE = 50;
    private static final double WHEEL_LENGTH = 40;
    private static final double WHEEL_HALF = 13;

    @Override
    public Set<String> procedures() {
        return Set.of("turnOut", "turnOutAtTwenty");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        List<Side> locks = List.of(Side.values()).stream()
                .filter(lock -> asked.stream().anyMatch(p -> lock(p) == lock))
                .toList();
        Pen pen = new Pen();
        Map<String, Box> fields = new HashMap<>();
        double panel = upright ? 390 : PANEL;
        double left = upright || locks.size() > 1 ? 0 : (2 * PANEL - panel) / 2;
        for (int i = 0; i < locks.size(); i++) {
            Side lock = locks.get(i);
            List<Place> places = asked.stream().filter(p -> lock(p) == lock).toList();
            double x = left + (upright ? 0 : i * panel);
            double y = upright ? i * HEIGHT : 0;
            new Panel(pen, sheet.geometry(), lock, x, y, panel, upright).draw(places, fields);
        }
        return pen.drawing(upright ? panel : 2 * PANEL, upright ? HEIGHT * locks.size() : HEIGHT, fields);
    }

    /** The lock a place is read at: a wheel is the inner one at the lock of its own side. */
    private static Side lock(Place place) {
        Side side = place.wheel().orElseThrow().side();
        return place.reading().is("plateInner") ? side : side.other();
    }

    private static final class Panel {
        private final Pen pen;
        private final Side lock;
        private final Linkage linkage;
        private final double left;
        private final double top;
        private final double width;
        private final boolean upright;
        private final double half;
        private final double axleY;
        private final double rearY;
        private final double middle;

        Panel(Pen pen, VehicleGeometry geometry, Side lock, double left, double top, double width, boolean upright) {
            this.pen = pen;
            this.lock = lock;
            this.linkage = geometry.linkage();
            this.left = left;
            this.top = top;
            this.width = width;
            this.upright = upright;
            this.half = 70;
            this.middle = left + width / 2 + lock.sign() * 46;
            this.axleY = top + 172;
            this.rearY = axleY + 112;
        }

        /** Left of the vehicle lies left on the paper: the front is up. */
        private double x(Side side) {
            return middle - side.sign() * half;
        }

        /** Returns the turn of the outer wheel with which both lines meet on the rear axle's: cot outer = cot inner + track / wheelbase. */
        private double turned(Side side) {
            double outer = Math.atan2(1, 1 / Math.tan(INNER) + 2 * half / (rearY - axleY));
            return side == lock ? INNER : outer;
        }

        void draw(List<Place> places, Map<String, Box> fields) {
            pen.line("centreline", middle, axleY - 70, middle, rearY + 14);
            pen.line("axle", x(Side.LEFT), axleY, x(Side.RIGHT), axleY);
            pen.line("centreline ink", left + 16, rearY, left + width - 16, rearY);
            for (Side side : Side.values()) {
                wheel(side);
            }
            linkage();
            meeting();
            for (Place place : places) {
                field(place, fields);
            }
            words();
        }

        private void wheel(Side side) {
            double x = x(side);
            double turn = turned(side) * (lock == Side.LEFT ? -1 : 1);
            double c = Math.cos(turn);
            double s = Math.sin(turn);
            double l = WHEEL_LENGTH;
            double w = WHEEL_HALF;
            pen.circle("plate-edge", x, axleY, PLATE);
            double[] corners = {-w, -l, w, -l, w, l, -w, l};
            double[] xy = new double[corners.length];
            for (int i = 0; i < xy.length; i += 2) {
                xy[i] = x + corners[i] * c - corners[i + 1] * s;
                xy[i + 1] = axleY + corners[i] * s + corners[i + 1] * c;
            }
            pen.line("centreline ink", x, axleY - PLATE - 16, x, axleY + PLATE + 6);
            double way = lock == Side.LEFT ? -1 : 1;
            String place = side == lock ? ".plateInner" : ".plateOuter";
            var follow = Follow.turning(
                    lock.key() + "." + side.key(),
                    x,
                    axleY,
                    Math.toDegrees(turn),
                    MOST_TURNED,
                    1,
                    List.of(Follow.Term.of(Wheel.of(Axle.FRONT, side).key() + place, way)));
            pen.following(List.of(follow), () -> pen.outline("tyre", xy));
            double r = PLATE + 12;
            double toX = x + r * s;
            double toY = axleY - r * c;
            pen.bow("sense", x, axleY - r, toX, toY, r, lock == Side.RIGHT);
            pen.arrow("sense-head", toX, toY, toX - (lock == Side.RIGHT ? 8 : -8) * c, toY - Math.abs(8 * s));
        }

        /** Arms and the rod between them, ahead of the axle or behind. */
        private void linkage() {
            double toward = linkage == Linkage.BEHIND ? 1 : -1;
            double[] ends = new double[4];
            for (int i = 0; i < 2; i++) {
                Side side = Side.values()[i];
                double turn = turned(side) * (lock == Side.LEFT ? -1 : 1);
                double inset = side.sign() * toward * 8;
                double armX = inset * Math.cos(turn) - toward * 34 * Math.sin(turn);
                double armY = inset * Math.sin(turn) + toward * 34 * Math.cos(turn);
                ends[2 * i] = x(side) + armX;
                ends[2 * i + 1] = axleY + armY;
                pen.line("body", x(side), axleY, ends[2 * i], ends[2 * i + 1]);
            }
            pen.polyline("body", ends);
        }

        private void meeting() {
            double towards = lock == Side.LEFT ? -1 : 1;
            double inner = (rearY - axleY) / Math.tan(INNER);
            double at = x(lock) + towards * inner;
            double shown = Math.max(left + 18, Math.min(left + width - 18, at));
            for (Side side : Side.values()) {
                // a line that would meet beyond the paper ends at its edge
                double reach = shown - x(side);
                double y = axleY + Math.abs(reach) * Math.tan(turned(side));
                pen.line("witness", x(side), axleY, shown, Math.min(rearY, y));
            }
            if (shown == at) {
                pen.circle("tool", at, rearY, 4);
            }
        }

        private void field(Place place, Map<String, Box> fields) {
            Wheel wheel = place.wheel().orElseThrow();
            double w = upright ? 92 : 80;
            double h = upright ? 46 : 34;
            double x = wheel.left() ? left + 10 : left + width - w - 10;
            double y = top + 44;
            fields.put(place.id(), new Box(x, y, w, h));
            pen.line("leader", wheel.left() ? x + w : x, y + h, x(wheel.side()), axleY - 30);
        }

        private void words() {
            pen.label(
                    "view-name",
                    left + 14,
                    top + 18,
                    "start",
                    lock == Side.LEFT ? "sketch.lock.left" : "sketch.lock.right");
            pen.label("note", middle, top + 34, "middle", "sketch.front.up");
            pen.label(
                    "note",
                    middle + lock.sign() * 60,
                    rearY - 8,
                    lock == Side.LEFT ? "end" : "start",
                    "sketch.rearAxle");
            pen.label(Shape.RULE_OF_THUMB, middle, rearY + 34, "middle", "sketch.turnOut.sign");
            pen.label("note", middle, rearY + 52, "middle", "sketch.turnOut.shortened");
        }
    }
}
