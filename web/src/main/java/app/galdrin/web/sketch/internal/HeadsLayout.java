package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import com.google.auto.service.AutoService;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Layout of a device at every wheel that shows figures directly: a head clamped to the rim, or a plate that is driven over. */
@AutoService(Layout.class)
public final class HeadsLayout implements Layout {

    @Override
    public Set<String> procedures() {
        return Set.of("wheelHeads", "slipPlate");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        boolean heads = asked.stream().anyMatch(p -> p.tool().equals("head"));
        Set<String> toes = asked.stream()
                .filter(p -> p.reading().is("headToe"))
                .map(Place::id)
                .collect(Collectors.toSet());
        var vehicle = new AroundVehicle(sheet, upright, upright ? 14 : 20, (wheel, geometry) -> {
            String toe = wheel.key() + ".headToe";
            return toes.contains(toe) ? Map.of(toe, 1.0) : Map.of();
        });
        Map<Wheel, List<Place>> byWheel = asked.stream()
                .collect(Collectors.groupingBy(p -> p.wheel().orElseThrow(), LinkedHashMap::new, Collectors.toList()));
        byWheel.forEach((wheel, places) -> {
            int side = AroundVehicle.side(wheel);
            double face = vehicle.middle(wheel) + side * vehicle.halfWidth();
            if (heads) {
                head(vehicle.plan(), vehicle.along(wheel), face, side);
            } else {
                plate(vehicle, wheel);
            }
            double from = heads ? face + side * 12 : face + side * 4;
            vehicle.fields(wheel, places, vehicle.outermost() + (upright ? 22 : 30), vehicle.along(wheel), from);
        });
        return vehicle.drawing(heads ? "sketch.heads.sign" : "sketch.slipPlate.sign");
    }

    /** A clamp across the rim and the head on its arm. */
    private static void head(Plan plan, double along, double face, int side) {
        plan.line("tool", along - 10, face, along + 10, face);
        plan.line("tool", along, face, along, face + side * 7);
        plan.outline(
                "tool",
                along - 7,
                face + side * 7,
                along + 7,
                face + side * 7,
                along + 7,
                face + side * 14,
                along - 7,
                face + side * 14);
    }

    /** Draws the plate under the wheel, wider than it, and the way it slides. */
    private static void plate(AroundVehicle vehicle, Wheel wheel) {
        double along = vehicle.along(wheel);
        double middle = vehicle.middle(wheel);
        int side = AroundVehicle.side(wheel);
        double half = vehicle.tyre(wheel) + 7;
        double wide = vehicle.halfWidth() + 6;
        vehicle.plan()
                .outline(
                        "tool-edge",
                        along - half,
                        middle - wide,
                        along + half,
                        middle - wide,
                        along + half,
                        middle + wide,
                        along - half,
                        middle + wide);
        double from = middle - side * (wide + 16);
        vehicle.plan().pointer(along + half - 6, from, along + half - 6, from + side * 14);
    }
}
