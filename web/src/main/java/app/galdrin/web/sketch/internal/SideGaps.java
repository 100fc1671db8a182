package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.BoxPlaces;
import app.galdrin.core.measure.ToeLine.LineSide;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Follow;
import app.galdrin.web.sketch.Shape;
import app.galdrin.web.sketch.Sketch;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The whole vehicle from above to its proportions while the gaps between its rims and a line along each side are drawn. Distances
 * across are from the centreline, the same on both sides; the gaps are drawn wider than they are, their fields outside of all lines.
 */
final class SideGaps {

    /** Distance from the outermost line to the near edge of the fields. */
    private static final double STAND_OFF = 22;

    /** The least from a wheel's middle to where a gap is drawn, so that its fields lie apart. */
    private static final double REACH = 36;

    private final Map<String, Box> fields = new HashMap<>();
    private final Set<String> asked;
    private final boolean chosen;
    private final VehicleGeometry geometry;
    private final boolean upright;
    private final double width;
    private final double height;
    private final double wheelbase;
    private final double scale;
    private final double across;
    private final double halfWidth;
    private final Plan plan;

    /**
     * {@code room}: what is kept free beside the tyres for lines; {@code chosen}: whether it is chosen on which side of the wheels they
     * run.
     */
    SideGaps(VehicleGeometry geometry, List<Place> asked, boolean upright, double room, boolean chosen) {
        this.chosen = chosen;
        this.geometry = geometry;
        this.asked = asked.stream().map(Place::id).collect(Collectors.toSet());
        this.upright = upright;
        this.width = upright ? 390 : 840;
        this.height = upright ? 560 : 430;
        this.wheelbase = upright ? 300 : 430;
        this.scale = wheelbase / geometry.wheelbase();
        double widest = Math.max(geometry.frontTrack(), geometry.rearTrack());
        // upright on a short vehicle the length sets the scale, and the track gives way to the fields
        this.across = Math.min(scale * widest, (upright ? 130 : 190) - 2 * room) / 2 / widest;
        this.halfWidth = Math.max(8, scale * 95);
        this.plan = upright ? new Plan(true, width / 2, 142) : new Plan(false, 210, height / 2);
        plan.body(wheelbase, frontTrack(), scale);
        front();
    }

    Plan plan() {
        return plan;
    }

    Drawing drawing() {
        return plan.drawing(width, height, fields);
    }

    /** Half the front track as drawn. */
    double frontTrack() {
        return across * geometry.frontTrack();
    }

    /** Half the rear track as drawn. */
    double rearTrack() {
        return across * geometry.rearTrack();
    }

    /** Half the width of a tyre as drawn. */
    double halfWidth() {
        return halfWidth;
    }

    boolean asks(Wheel wheel) {
        return asked.contains(BoxPlaces.frontGap(wheel));
    }

    private static int side(Wheel wheel) {
        return wheel.left() ? 1 : -1;
    }

    private double rim(Wheel wheel) {
        return scale * geometry.rim(wheel.axle()) / 2;
    }

    /** A wheel with its middle so far out, which turns with its gaps; to a line inboard of it they turn it the other way. */
    void wheel(Wheel wheel, double middle) {
        double each = Math.toDegrees(1 / geometry.rim(wheel.axle()));
        Follow outboard = follow(wheel, middle, each);
        List<Follow> follows = !asks(wheel)
                ? List.of()
                : chosen
                        ? List.of(
                                outboard.when(Sketch.option("lineSide", LineSide.OUTBOARD.key())),
                                follow(wheel, middle, -each).when(Sketch.option("lineSide", LineSide.INBOARD.key())))
                        : List.of(outboard);
        double radius = scale * geometry.tyre(wheel.axle());
        plan.pen()
                .following(
                        follows, () -> plan.wheel(along(wheel), side(wheel) * middle, radius, rim(wheel), halfWidth));
    }

    private Follow follow(Wheel wheel, double middle, double each) {
        return plan.turning(
                wheel,
                along(wheel),
                side(wheel) * middle,
                Map.of(BoxPlaces.frontGap(wheel), each, BoxPlaces.rearGap(wheel), -each));
    }

    /** A line along the vehicle's side. */
    void line(Wheel wheel, double out) {
        plan.line("string", -0.2 * wheelbase, side(wheel) * out, 1.14 * wheelbase, side(wheel) * out);
    }

    /** The gaps from a rim's face to a line, its front and rear, each with a leader to its field beside the {@code outermost} line. */
    void gaps(Wheel wheel, double face, double line, double outermost) {
        int side = side(wheel);
        double near = side * (outermost + STAND_OFF);
        double axle = along(wheel);
        // to a line on the far side of the wheel a leader passes ahead of the tyre and behind it, never through it
        double reach = Math.max(line < face ? scale * geometry.tyre(wheel.axle()) + 6 : rim(wheel), REACH);
        for (int end : new int[] {-1, 1}) {
            double at = axle + end * reach;
            plan.line("witness", axle + end * rim(wheel), side * face, at, side * face);
            plan.dimension(at, side * face, at, side * line);
            double from = side * Math.max(line, (face + line) / 2);
            plan.polyline("leader", at, from, fieldAlong(wheel, end), near);
        }
    }

    /** The fields of a wheel's gaps beside the outermost line. */
    void fields(Wheel wheel, double outermost) {
        int side = side(wheel);
        double boxWidth = upright ? 84 : 76;
        double boxHeight = upright ? 46 : 34;
        for (int end : new int[] {-1, 1}) {
            double x = plan.x(fieldAlong(wheel, end), side * (outermost + STAND_OFF));
            double y = plan.y(fieldAlong(wheel, end), side * (outermost + STAND_OFF));
            fields.put(
                    end < 0 ? BoxPlaces.frontGap(wheel) : BoxPlaces.rearGap(wheel),
                    upright
                            ? new Box(side > 0 ? x - boxWidth : x, y - boxHeight / 2, boxWidth, boxHeight)
                            : new Box(x - boxWidth / 2, side > 0 ? y : y - boxHeight, boxWidth, boxHeight));
        }
    }

    private double along(Wheel wheel) {
        return wheel.front() ? 0 : wheelbase;
    }

    private double fieldAlong(Wheel wheel, int end) {
        return along(wheel) + end * Math.max(rim(wheel), REACH) * (upright ? 1 : 1.35);
    }

    /** Draws the front. */
    private void front() {
        if (upright) {
            plan.labelAt("note", width / 2, 14, "middle", "sketch.front.up");
        } else {
            plan.pointer(-0.02 * wheelbase, 0, -0.14 * wheelbase, 0);
            plan.labelAt("note", plan.x(0.03 * wheelbase, 0), plan.y(0, 0) - 6, "start", "sketch.front");
        }
    }

    /** Marks the gap that is the wider at toe-in; lying, so far out on the right side. */
    void sign(String words, double out) {
        if (upright) {
            plan.labelAt(Shape.RULE_OF_THUMB, width / 2, 30, "middle", words);
        } else {
            plan.label(Shape.RULE_OF_THUMB, wheelbase * 0.5, -out, "middle", words);
        }
    }

    /** The name of a line, where there is room for it. */
    void name(Wheel wheel, double line, String words) {
        if (!upright) {
            plan.label("string-name", wheelbase * 0.55, wheel.left() ? line + 14 : -(line + 7), "middle", words);
        }
    }
}
