package app.galdrin.web.sketch.internal;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Follow;
import app.galdrin.web.sketch.Shape;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The whole vehicle from above to its proportions, with what is read at each wheel in fields beside it. Distances across are from the
 * centreline, the same on both sides.
 */
final class AroundVehicle {

    private static final double BETWEEN = 6;

    /** Distance between fields on a phone, where the name of the next field needs its line. */
    private static final double BETWEEN_UPRIGHT = 16;

    /** Room for fields and their names beside the outermost tyre, lying. */
    private static final double BESIDE = 116;

    private final Map<String, Box> fields = new HashMap<>();
    private final boolean upright;
    private final double width;
    private final double height;
    private final double wheelbase;
    private final double scale;
    private final double across;
    private final double halfWidth;
    private final VehicleGeometry geometry;
    private final Plan plan;

    /** Toe of a wheel, degrees of toe-in for 1 at a place. */
    interface Toe {
        Map<String, Double> of(Wheel wheel, VehicleGeometry geometry);
    }

    /** {@code room}: what is kept free beside the tyres for instruments; {@code toe} turns the wheels as it is written. */
    AroundVehicle(SpecificationSheet sheet, boolean upright, double room, Toe toe) {
        this.geometry = sheet.geometry();
        this.upright = upright;
        this.width = upright ? 390 : 840;
        this.wheelbase = upright ? 290 : 420;
        this.scale = wheelbase / geometry.wheelbase();
        double widest = Math.max(geometry.frontTrack(), geometry.rearTrack());
        double most = upright ? 136 : 220;
        this.across = Math.min(scale * widest, most - 2 * room) / 2 / widest;
        this.halfWidth = Math.max(8, scale * 95);
        this.height = upright ? 580 : Math.rint(2 * (across * widest + halfWidth + BESIDE));
        this.plan = upright ? new Plan(true, width / 2, 150) : new Plan(false, 216, height / 2);
        plan.body(wheelbase, across * geometry.frontTrack(), scale);
        for (Wheel wheel : Wheel.values()) {
            Map<String, Double> terms = toe.of(wheel, geometry);
            List<Follow> follows =
                    terms.isEmpty() ? List.of() : List.of(plan.turning(wheel, along(wheel), middle(wheel), terms));
            plan.pen()
                    .following(
                            follows, () -> plan.wheel(along(wheel), middle(wheel), tyre(wheel), rim(wheel), halfWidth));
        }
    }

    Plan plan() {
        return plan;
    }

    double wheelbase() {
        return wheelbase;
    }

    double halfWidth() {
        return halfWidth;
    }

    double along(Wheel wheel) {
        return wheel.front() ? 0 : wheelbase;
    }

    static int side(Wheel wheel) {
        return wheel.left() ? 1 : -1;
    }

    /** Returns the distance of a wheel's middle left of the centreline, as drawn. */
    double middle(Wheel wheel) {
        return side(wheel) * across * geometry.track(wheel.axle());
    }

    double tyre(Wheel wheel) {
        return scale * geometry.tyre(wheel.axle());
    }

    private double rim(Wheel wheel) {
        return scale * geometry.rim(wheel.axle()) / 2;
    }

    /** The outermost face of any tyre. */
    double outermost() {
        return across * Math.max(geometry.frontTrack(), geometry.rearTrack()) + halfWidth;
    }

    /** The fields of a wheel, so far out of the centreline, each with a leader from a point of the wheel (along, left). */
    void fields(Wheel wheel, List<Place> places, double out, double fromAlong, double fromLeft) {
        int side = side(wheel);
        double near = side * out;
        double taken = 0;
        double between = upright ? BETWEEN_UPRIGHT : BETWEEN;
        double all = places.stream().mapToDouble(this::length).sum() + between * (places.size() - 1);
        for (Place place : places) {
            double middle = along(wheel) - all / 2 + taken + length(place) / 2;
            taken += length(place) + between;
            double w = width(place);
            double h = height(place);
            plan.line("leader", fromAlong, fromLeft, middle, near);
            double x = plan.x(middle, near);
            double y = plan.y(middle, near);
            fields.put(
                    place.id(),
                    upright
                            ? new Box(side > 0 ? Math.max(2, x - w) : Math.min(width - w - 2, x), y - h / 2, w, h)
                            : new Box(x - w / 2, side > 0 ? y : y - h, w, h));
        }
    }

    /** Returns what a field takes up along the vehicle. */
    private double length(Place place) {
        return upright ? height(place) : width(place);
    }

    private double width(Place place) {
        return place.answer() instanceof SizeAndSense ? 104 : upright ? 84 : 76;
    }

    private double height(Place place) {
        return place.answer() instanceof SizeAndSense ? upright ? 88 : 58 : upright ? 46 : 34;
    }

    /** Finishes the drawing with its front and one sentence for the sign. */
    Drawing drawing(String sign) {
        if (upright) {
            plan.labelAt("note", width / 2, 14, "middle", "sketch.front.up");
            plan.labelAt(Shape.RULE_OF_THUMB, width / 2, 30, "middle", sign);
        } else {
            plan.pointer(-0.02 * wheelbase, 0, -0.14 * wheelbase, 0);
            plan.labelAt("note", plan.x(0.03 * wheelbase, 0), plan.y(0, 0) - 6, "start", "sketch.front");
            plan.label(Shape.RULE_OF_THUMB, wheelbase * 0.5, -18, "middle", sign);
        }
        return plan.drawing(width, height, fields);
    }
}
