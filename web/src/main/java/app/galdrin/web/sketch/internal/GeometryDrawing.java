package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.VehicleDrawing;
import com.google.auto.service.AutoService;
import java.util.Map;

/** A vehicle from above to its proportions, with a letter at each dimension of its sheet. */
@AutoService(VehicleDrawing.class)
public final class GeometryDrawing implements VehicleDrawing {

    /** Wheelbase of a vehicle that is drawn from above without letters, and how far its body stands out beyond the tyres, in drawing units. */
    private static final double LENGTH_ABOVE = 190;

    private static final double OVERHANG = 24;

    @Override
    public Drawing draw(VehicleGeometry g, boolean upright) {
        double wheelbase = upright ? 300 : 430;
        double scale = wheelbase / g.wheelbase();
        double half = Math.min(scale * Math.max(g.frontTrack(), g.rearTrack()), upright ? 220 : 240) / 2;
        double across = half / Math.max(g.frontTrack(), g.rearTrack());
        double width = upright ? 390 : 840;
        double height = upright ? 560 : Math.rint(2 * half + 150);
        Plan plan = upright ? new Plan(true, width / 2, 140) : new Plan(false, 200, height / 2);
        double halfWidth = halfWidth(scale);
        bodyOnWheels(plan, g, scale, across);
        double left = across * g.frontTrack();
        double out = half + halfWidth + 26;
        plan.dimension(0, out, wheelbase, out);
        letter(plan, wheelbase / 2, out, "A");
        plan.dimension(
                -scale * g.tyre(Wheel.FRONT_LEFT.axle()) - 16,
                -left,
                -scale * g.tyre(Wheel.FRONT_LEFT.axle()) - 16,
                left);
        letter(plan, -scale * g.tyre(Wheel.FRONT_LEFT.axle()) - 16, 24, "B");
        double behind = wheelbase + scale * g.tyre(Wheel.REAR_LEFT.axle()) + 16;
        double rear = across * g.rearTrack();
        plan.dimension(behind, -rear, behind, rear);
        letter(plan, behind, 24, "C");
        double rim = scale * g.rim(Wheel.REAR_LEFT.axle()) / 2;
        double beside = -(rear + halfWidth + 16);
        plan.dimension(wheelbase - rim, beside, wheelbase + rim, beside);
        letter(plan, wheelbase, beside, "D");
        double tyre = scale * g.tyre(Wheel.FRONT_RIGHT.axle());
        double side = -(left + halfWidth + 16);
        plan.dimension(-tyre, side, 0, side);
        letter(plan, -tyre / 2, side, "E");
        arms(plan, g, left, scale, true);
        if (upright) {
            plan.labelAt("note", width / 2, 14, "middle", "sketch.front.up");
        } else {
            plan.pointer(wheelbase * 0.5, 0, wheelbase * 0.4, 0);
            plan.label("note", wheelbase * 0.52, -6, "start", "sketch.front");
        }
        return plan.drawing(width, height, Map.of());
    }

    @Override
    public Drawing axle(VehicleGeometry g, Map<String, Integer> numbers) {
        return AxleDrawing.of(g, numbers);
    }

    @Override
    public Drawing above(VehicleGeometry g) {
        double scale = LENGTH_ABOVE / g.wheelbase();
        double across = 0.5 * scale;
        double ends = scale * Math.max(g.tyre(Axle.FRONT), g.tyre(Axle.REAR)) + OVERHANG;
        double width = scale * Math.max(g.frontTrack(), g.rearTrack()) + 4 * halfWidth(scale);
        var plan = new Plan(true, width / 2, ends);
        bodyOnWheels(plan, g, scale, across);
        arms(plan, g, across * g.frontTrack(), scale, false);
        return plan.drawing(width, LENGTH_ABOVE + 2 * ends, Map.of());
    }

    private static double halfWidth(double scale) {
        return Math.max(8, scale * 95);
    }

    private static void bodyOnWheels(Plan plan, VehicleGeometry g, double scale, double across) {
        plan.body(scale * g.wheelbase(), across * g.frontTrack(), scale);
        for (Wheel wheel : Wheel.values()) {
            double side = wheel.left() ? 1 : -1;
            plan.wheel(
                    wheel.front() ? 0 : scale * g.wheelbase(),
                    side * across * g.track(wheel.axle()),
                    scale * g.tyre(wheel.axle()),
                    scale * g.rim(wheel.axle()) / 2,
                    halfWidth(scale));
        }
    }

    private static void letter(Plan plan, double along, double left, String letter) {
        plan.label("view-name", along + 4, left + 4, "middle", "sketch.letter." + letter);
    }

    /** Steering arms, the length of one as F, and the rods between them and the rack or link. */
    private static void arms(Plan plan, VehicleGeometry g, double left, double scale, boolean lettered) {
        double toward = g.linkage() == Linkage.BEHIND ? 1 : -1;
        double arm = toward * Math.max(26, scale * g.armLength().orElse(0));
        for (int side : new int[] {1, -1}) {
            plan.line("ink", 0, side * (left - 10), arm, side * (left - 16));
            plan.line("ink", arm, side * (left - 16), arm, side * left * 0.35);
        }
        plan.line("body", arm, -left * 0.35, arm, left * 0.35);
        if (lettered && g.armLength().isPresent()) {
            plan.dimension(0, left - 34, arm, left - 34);
            letter(plan, arm / 2, left - 34, "F");
        }
    }
}
