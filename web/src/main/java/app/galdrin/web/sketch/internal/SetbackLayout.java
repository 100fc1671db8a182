package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
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

/** The vehicle from above with a tape from hub to hub along each side. */
@AutoService(Layout.class)
public final class SetbackLayout implements Layout {

    /** Distance from a wheel's face to the tape, drawing units. */
    private static final double STAND_OFF = 16;

    private static final double MOST_SHIFTED = 26;

    @Override
    public Set<String> procedures() {
        return Set.of("setback");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        VehicleGeometry g = sheet.geometry();
        double width = upright ? 390 : 840;
        double height = upright ? 520 : 400;
        double wheelbase = upright ? 290 : 430;
        double scale = wheelbase / g.wheelbase();
        double widest = Math.max(g.frontTrack(), g.rearTrack());
        // upright on a short vehicle the length sets the scale, and the track gives way to the fields
        double across = Math.min(wheelbase * widest / g.wheelbase(), upright ? 120 : 190) / widest;
        Plan plan = upright ? new Plan(true, width / 2, 130) : new Plan(false, 210, height / 2);
        double halfWidth = Math.max(8, scale * 95);
        plan.body(wheelbase, across * g.frontTrack() / 2, scale);
        for (Wheel wheel : Wheel.values()) {
            double track = wheel.front() ? g.frontTrack() : g.rearTrack();
            double along = wheel.front() ? 0 : wheelbase;
            double left = side(wheel) * across * track / 2;
            List<Follow> follows = wheel.front() ? List.of(back(wheel, g.wheelbase(), scale, upright)) : List.of();
            plan.pen()
                    .following(
                            follows,
                            () -> plan.wheel(
                                    along,
                                    left,
                                    scale * g.tyre(wheel.axle()),
                                    scale * g.rim(wheel.axle()) / 2,
                                    halfWidth));
        }
        Map<String, Box> fields = new HashMap<>();
        double tape = across * widest / 2 + halfWidth + STAND_OFF;
        for (Place place : asked) {
            double left = side(place.wheel().orElseThrow()) * tape;
            plan.dimension(0, left, wheelbase, left);
            fields.put(place.id(), field(plan, wheelbase / 2, left, upright));
        }
        notes(plan, wheelbase, width, upright);
        return plan.drawing(width, height, fields);
    }

    /** A wheel with a longer wheelbase than the sheet's stands farther forward, enlarged. */
    private static Follow back(Wheel wheel, double wheelbase, double scale, boolean upright) {
        double each = scale * Plan.ENLARGED;
        List<Follow.Term> terms = List.of(Follow.Term.of(wheel.key() + ".wheelbase", each));
        return Follow.shifting(
                wheel.key(), upright ? 0 : -1, upright ? -1 : 0, each * wheelbase, MOST_SHIFTED, Plan.ENLARGED, terms);
    }

    private static int side(Wheel wheel) {
        return wheel.left() ? 1 : -1;
    }

    private static Box field(Plan plan, double along, double left, boolean upright) {
        double width = upright ? 92 : 96;
        double height = upright ? 46 : 34;
        return new Box(plan.x(along, left) - width / 2, plan.y(along, left) - height / 2, width, height);
    }

    private static void notes(Plan plan, double wheelbase, double width, boolean upright) {
        if (upright) {
            plan.labelAt("note", width / 2, 14, "middle", "sketch.front.up");
            plan.labelAt(Shape.RULE_OF_THUMB, width / 2, 32, "middle", "sketch.setback.sign");
        } else {
            plan.pointer(-0.02 * wheelbase, 0, -0.14 * wheelbase, 0);
            plan.labelAt("note", plan.x(0.03 * wheelbase, 0), plan.y(0, 0) - 6, "start", "sketch.front");
            plan.label(Shape.RULE_OF_THUMB, wheelbase * 0.5, -22, "middle", "sketch.setback.sign");
        }
    }
}
