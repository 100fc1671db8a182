package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A string along the outer face of each rear tyre and on past the front wheel: the whole vehicle to its proportions, the gaps at
 * the front rims drawn wider than they are, their fields outside the string.
 */
@AutoService(Layout.class)
public final class RearStringLayout implements Layout {

    /** Drawn distance of a string from the widest tyre's outer face. */
    private static final double GAP = 34;

    /** From a string to the near edge of its fields. */
    private static final double STAND_OFF = 22;

    @Override
    public Set<String> procedures() {
        return Set.of("rearString");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        VehicleGeometry geometry = sheet.geometry();
        double width = upright ? 390 : 840;
        double height = upright ? 560 : 430;
        double wheelbase = upright ? 300 : 430;
        double widest = Math.max(geometry.frontTrack(), geometry.rearTrack());
        // upright on a short vehicle the length sets the scale, and the track gives way to the fields
        double halfTrack = Math.min(wheelbase * widest / geometry.wheelbase(), upright ? 130 : 190) / 2;
        double scale = wheelbase / geometry.wheelbase();
        Plan plan = upright ? new Plan(true, width / 2, 142) : new Plan(false, 210, height / 2);
        var sides = new Sides(plan, asked, geometry, scale, wheelbase, halfTrack / widest, upright);
        plan.body(wheelbase, halfTrack * geometry.frontTrack() / widest, scale);
        for (Wheel wheel : Wheel.values()) {
            sides.wheel(wheel);
        }
        notes(plan, wheelbase, sides.string, width, upright);
        return new Drawing(width, height, plan.shapes(), sides.fields);
    }

    private static void notes(Plan plan, double wheelbase, double string, double width, boolean upright) {
        if (upright) {
            plan.labelAt("note", width / 2, 14, "middle", "sketch.front.up");
            plan.labelAt("rule-of-thumb", width / 2, 30, "middle", "sketch.rearString.sign");
        } else {
            plan.pointer(-0.02 * wheelbase, 0, -0.14 * wheelbase, 0);
            plan.labelAt("note", plan.x(0.03 * wheelbase, 0), plan.y(0, 0) - 6, "start", "sketch.front");
            plan.label("rule-of-thumb", wheelbase * 0.5, -22, "middle", "sketch.rearString.sign");
            plan.label("string-name", wheelbase * 0.55, string + 14, "middle", "sketch.rearString.left");
            plan.label("string-name", wheelbase * 0.55, -(string + 7), "middle", "sketch.rearString.right");
        }
    }

    /** Both sides of the vehicle while they are drawn. */
    private static final class Sides {
        private final Map<String, Box> fields = new HashMap<>();
        private final Plan plan;
        private final Set<String> asked;
        private final VehicleGeometry geometry;
        private final double scale;
        private final double wheelbase;
        private final double across;
        private final boolean upright;
        private final double halfWidth;
        private final double string;

        /** {@code across}: drawing units a mm across the vehicle. */
        Sides(
                Plan plan,
                List<Place> asked,
                VehicleGeometry geometry,
                double scale,
                double wheelbase,
                double across,
                boolean upright) {
            this.plan = plan;
            this.asked = asked.stream().map(Place::id).collect(Collectors.toSet());
            this.geometry = geometry;
            this.scale = scale;
            this.wheelbase = wheelbase;
            this.across = across;
            this.upright = upright;
            this.halfWidth = Math.max(8, scale * 95);
            this.string = across * geometry.rearTrack() + halfWidth;
        }

        void wheel(Wheel wheel) {
            int side = wheel.left() ? 1 : -1;
            double along = wheel.front() ? 0 : wheelbase;
            // the string lies on the rear tyre; the front wheel is drawn in from it, so that there is a gap to read
            double off = wheel.front() ? string - halfWidth - GAP : string - halfWidth;
            double rim = scale * geometry.rimDiameter() / 2;
            plan.wheel(along, side * off, scale * geometry.tyreRadius(), rim, halfWidth);
            if (wheel.front() && asked.contains(ToeBox.frontGap(wheel))) {
                plan.line("string", -0.2 * wheelbase, side * string, 1.14 * wheelbase, side * string);
                double face = side * (off + halfWidth * 0.4);
                double reach = Math.max(rim, 36);
                gap(ToeBox.frontGap(wheel), -rim, -reach, side, face);
                gap(ToeBox.rearGap(wheel), rim, reach, side, face);
            }
        }

        private void gap(String place, double rimAlong, double along, int side, double face) {
            plan.line("witness", rimAlong, face, along, face);
            plan.dimension(along, face, along, side * string);
            double width = upright ? 84 : 76;
            double height = upright ? 46 : 34;
            double fieldAlong = along * (upright ? 1 : 1.35);
            double near = side * (string + STAND_OFF);
            plan.polyline("leader", along, side * string, fieldAlong, near);
            double x = plan.x(fieldAlong, near);
            double y = plan.y(fieldAlong, near);
            fields.put(
                    place,
                    upright
                            ? new Box(side > 0 ? x - width : x, y - height / 2, width, height)
                            : new Box(x - width / 2, side > 0 ? y : y - height, width, height));
        }
    }
}
