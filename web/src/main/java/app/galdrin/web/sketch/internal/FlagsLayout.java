package app.galdrin.web.sketch.internal;

import app.galdrin.core.equipment.ToolLength;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A gauge on each front wheel: one sight across, square to its wheel, to the flag of the gauge opposite, and one back along its wheel to a
 * flag at the rear. A field stands at the flag it is read on, which is not the wheel it shows.
 */
@AutoService(Layout.class)
public final class FlagsLayout implements Layout {

    /** Distance of a gauge from a tyre's face. */
    private static final double HANGS = 9;

    @Override
    public Set<String> procedures() {
        return Set.of("flags", "flagsMillimetres");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        boolean rear =
                asked.stream().anyMatch(p -> p.wheel().filter(w -> !w.front()).isPresent());
        var vehicle =
                new AroundVehicle(sheet, upright, 24, (wheel, geometry) -> toe(wheel, rear, eachFlag(asked), geometry));
        Plan plan = vehicle.plan();
        double ahead = -vehicle.tyre(Wheel.FRONT_LEFT) - 16;
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            int side = AroundVehicle.side(wheel);
            double hangs = vehicle.middle(wheel) + side * (vehicle.halfWidth() + HANGS);
            double opposite = -hangs;
            // the two sights lie one above the other; drawn a little apart so that both are seen
            double sight = ahead - (wheel.left() ? 0 : 9);
            plan.outline("tool", ahead - 16, hangs - 3, 16, hangs - 3, 16, hangs + 3, ahead - 16, hangs + 3);
            plan.line("tool", 0, hangs, 0, vehicle.middle(wheel) + side * vehicle.halfWidth() * 0.4);
            plan.line("string", sight, hangs, sight, opposite);
            if (rear) {
                double behind = vehicle.wheelbase() + 16;
                plan.line("string", 16, hangs, behind, hangs);
                plan.line("tool", behind, hangs - 9, behind, hangs + 9);
            }
        }
        for (Place place : asked) {
            Wheel wheel = place.wheel().orElseThrow();
            int side = AroundVehicle.side(wheel);
            double hangs = vehicle.middle(Wheel.of(Axle.FRONT, wheel.side())) + side * (vehicle.halfWidth() + HANGS);
            double from = wheel.front() ? ahead : vehicle.wheelbase() + 16;
            vehicle.fields(wheel, List.of(place), vehicle.outermost() + (upright ? 26 : 34), from, hangs);
        }
        plan.label("note", upright ? -58 : vehicle.wheelbase() * 0.5, 14, "middle", "sketch.flags.other");
        return vehicle.drawing("sketch.flags.sign");
    }

    /** Degrees that one unit of a front flag stands for. */
    private static double eachFlag(List<Place> asked) {
        boolean isInMillimetres = asked.stream().anyMatch(p -> p.reading().is("flagScale"));
        return isInMillimetres ? Math.toDegrees(1 / ToolLength.FLAG.usual()) : 1;
    }

    /** Half of the total each; the rear flags move it from one wheel to the other. */
    private static Map<String, Double> toe(Wheel wheel, boolean rear, double flag, VehicleGeometry geometry) {
        if (!wheel.front()) {
            return Map.of();
        }
        Map<String, Double> toe = new HashMap<>(Map.of("fl.flag", flag / 2, "fr.flag", flag / 2));
        if (rear) {
            double each = AroundVehicle.side(wheel) * Math.toDegrees(0.5 / geometry.wheelbase());
            toe.put("rl.flag", each);
            toe.put("rr.flag", -each);
        }
        return toe;
    }
}
