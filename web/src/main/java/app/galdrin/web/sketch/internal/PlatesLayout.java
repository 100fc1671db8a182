package app.galdrin.web.sketch.internal;

import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.ToeProcedures;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Plates against both front tyres and two tapes between them: the front of the vehicle to its proportions. */
@AutoService(Layout.class)
public final class PlatesLayout implements Layout {

    /** Lying, the tapes are nearer than their fields are wide: the fields stand apart along them. */
    private static final double STAGGER = 44;

    @Override
    public Set<String> procedures() {
        return Set.of("plates");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        VehicleGeometry geometry = sheet.geometry();
        double width = upright ? 390 : 840;
        double height = upright ? 420 : 440;
        double span = upright ? 300 : 330;
        double scale = span / (geometry.frontTrack() + 260);
        double along = upright ? 190 : 330;
        Plan plan = new Plan(upright, upright ? width / 2 : along, upright ? along : height / 2);
        double halfTrack = scale * geometry.frontTrack() / 2;
        double half = scale * ToeProcedures.PLATE_SLOTS / 2;
        double halfWidth = Math.max(9, scale * 95);
        double reach = upright ? 190 : 470;
        outlineOfBody(plan, halfTrack, scale, reach, along);
        for (int side : new int[] {1, -1}) {
            plan.wheel(
                    0, side * halfTrack, scale * geometry.tyreRadius(), scale * geometry.rimDiameter() / 2, halfWidth);
            double plate = side * (halfTrack + halfWidth + 4);
            plan.outline(
                    "plate", -half - 14, plate - 4, half + 14, plate - 4, half + 14, plate + 4, -half - 14, plate + 4);
        }
        double end = halfTrack + halfWidth + 4;
        double fieldWidth = upright ? 108 : 104;
        double fieldHeight = upright ? 48 : 34;
        plan.dimension(-half, -end, -half, end);
        plan.dimension(half, -end, half, end);
        notes(plan, half, end, upright);
        return new Drawing(
                width,
                height,
                plan.shapes(),
                Map.of(
                        "frontDistance", field(plan, -half, upright ? 0 : -STAGGER, fieldWidth, fieldHeight),
                        "rearDistance", field(plan, half, upright ? 0 : STAGGER, fieldWidth, fieldHeight)));
    }

    private static Box field(Plan plan, double along, double left, double width, double height) {
        return new Box(plan.x(along, left) - width / 2, plan.y(along, left) - height / 2, width, height);
    }

    private static void outlineOfBody(Plan plan, double halfTrack, double scale, double reach, double front) {
        double half = halfTrack + 70 * scale;
        double nose = -Math.min(front - 24, 900 * scale);
        plan.polyline(
                "body",
                reach,
                -half,
                nose * 0.5,
                -half,
                nose,
                -half * 0.55,
                nose,
                half * 0.55,
                nose * 0.5,
                half,
                reach,
                half);
        plan.line("centreline", nose - 14, 0, reach, 0);
        plan.line("axle", 0, -halfTrack, 0, halfTrack);
    }

    private static void notes(Plan plan, double half, double end, boolean upright) {
        plan.label("string-name", -half - (upright ? 12 : 0), upright ? 0 : -(end + 14), "middle", "sketch.tape.front");
        plan.label("string-name", half + (upright ? 22 : 0), upright ? 0 : -(end + 14), "middle", "sketch.tape.rear");
        plan.label("rule-of-thumb", half + (upright ? 130 : 210), upright ? 0 : 26, "middle", "sketch.plates.sign");
        plan.labelAt(
                "note",
                upright ? plan.x(0, 0) : 70,
                upright ? 14 : plan.y(0, 0) - 8,
                upright ? "middle" : "start",
                upright ? "sketch.front.up" : "sketch.front");
    }
}
