package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Shape;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Front axle of a vehicle from above, front up: wheels, suspension and linkage to the proportions of its sheet, with a numbered ring at each part
 * that is asked about.
 */
final class AxleDrawing {

    private static final double HALF_TRACK = 240;
    private static final double MIDDLE = 290;
    private static final double RING = 15;
    private static final double DIGIT = 6;

    /** Steering arm that is drawn where the sheet does not give its length, mm. */
    private static final double USUAL_ARM = 130;

    /** Parts on each side, as they usually lie: how far behind the wheels' centre and inboard of the wheel, mm. */
    private static final double[] BALL_JOINT = {0, 125};

    private static final double[] HUB = {0, 15};
    private static final double[] TOP_MOUNT = {55, 205};
    private static final double[] PIVOT = {170, 430};
    private static final double ROD_END = 95;
    private static final double LOCK_NUT = 215;
    private static final double INNER_END = 440;

    /** Steering wheel, on the side that is drawn left: how far behind the wheels' centre and left of the middle, mm. */
    private static final double[] STEERING_WHEEL = {420, 180};

    /** Coupling on the rack: how far left of the middle, mm. */
    private static final double COUPLING = 120;

    private final VehicleGeometry geometry;
    private final double scale;
    private final double arm;
    private final double track;
    private final Plan plan;

    private AxleDrawing(VehicleGeometry g) {
        this.geometry = g;
        this.track = g.track(Axle.FRONT) / 2;
        this.scale = HALF_TRACK / track;
        double length = g.armLength().orElse(USUAL_ARM);
        this.arm = g.linkage() == Linkage.BEHIND ? length : -length;
        this.plan = new Plan(true, MIDDLE, scale * g.tyre(Axle.FRONT) + 40);
    }

    /** Draws it with the numbers of parts by their keys; a part that does not lie on a front axle has none. */
    static Drawing of(VehicleGeometry geometry, Map<String, Integer> numbers) {
        return new AxleDrawing(geometry).draw(numbers);
    }

    private boolean isBeam() {
        return geometry.frontSuspension().equals(Optional.of(Suspension.BEAM));
    }

    private Drawing draw(Map<String, Integer> numbers) {
        wheels();
        for (int side : new int[] {1, -1}) {
            corner(side);
        }
        if (isBeam()) {
            outline("part", -22, track - 150, 22, track - 150, 22, -track + 150, -22, -track + 150);
            line("part", arm, track - ROD_END, arm, ROD_END - track);
        } else {
            outline(
                    "part",
                    arm - 20,
                    INNER_END - 80,
                    arm + 20,
                    INNER_END - 80,
                    arm + 20,
                    80 - INNER_END,
                    arm - 20,
                    80 - INNER_END);
        }
        boolean hasColumn = numbers.containsKey("coupling") || numbers.containsKey("steeringWheel");
        if (hasColumn) {
            line("axle", arm, COUPLING, STEERING_WHEEL[0], STEERING_WHEEL[1]);
        }
        plan.labelAt("note", MIDDLE, 14, "middle", "sketch.front.up");
        Map<String, Box> rings = new LinkedHashMap<>();
        List<Shape> digits = new ArrayList<>();
        numbers.forEach((part, number) -> spots(part).forEach(spot -> {
            double x = plan.x(scale * spot[0], scale * spot[1]);
            double y = plan.y(scale * spot[0], scale * spot[1]);
            String side = spot[1] > 0 ? Side.LEFT.key() : Side.RIGHT.key();
            plan.pen().circle("numbered", x, y, RING);
            rings.put(part + "." + side, new Box(x - RING, y - RING, 2 * RING, 2 * RING));
            digits.add(new Shape.Text("number", x, y + DIGIT, "middle", String.valueOf(number)));
        }));
        double height = Math.max(
                        plan.y(hasColumn ? scale * STEERING_WHEEL[0] : 0, 0),
                        plan.y(scale * geometry.tyre(Axle.FRONT), 0))
                + 20;
        Drawing strokes = plan.drawing(2 * MIDDLE, height, Map.of());
        List<Shape> all = new ArrayList<>(strokes.shapes());
        all.addAll(digits);
        return new Drawing(2 * MIDDLE, height, all, rings, List.of());
    }

    private void wheels() {
        for (int side : new int[] {1, -1}) {
            plan.wheel(
                    0,
                    side * HALF_TRACK,
                    scale * geometry.tyre(Axle.FRONT),
                    scale * geometry.rim(Axle.FRONT) / 2,
                    scale * 95);
        }
    }

    /** The arm or spring, the steering arm and the rod of one side. */
    private void corner(int side) {
        double joint = side * (track - BALL_JOINT[1]);
        line("part", 0, joint, arm, side * (track - ROD_END));
        if (isBeam()) {
            double pad = side * (track - PIVOT[1] + 100);
            outline("part", -150, pad - 30, 150, pad - 30, 150, pad + 30, -150, pad + 30);
            return;
        }
        double pivot = side * (track - PIVOT[1]);
        outline("part", 0, joint, -PIVOT[0], pivot, PIVOT[0], pivot);
        line("part", arm, side * (track - ROD_END), arm, side * (track - INNER_END));
        plan.pen()
                .circle(
                        "part",
                        plan.x(scale * TOP_MOUNT[0], side * scale * (track - TOP_MOUNT[1])),
                        plan.y(scale * TOP_MOUNT[0], side * scale * (track - TOP_MOUNT[1])),
                        scale * 55);
    }

    /** Returns where a part lies, on both sides where it has two: behind the front wheels' centre and left of the middle, mm. */
    private List<double[]> spots(String part) {
        double pad = track - PIVOT[1] + 100;
        return switch (part) {
            case "rodEnd" -> both(arm, track - ROD_END);
            case "rodLockNut" -> both(arm, track - LOCK_NUT);
            case "rackEnd" -> both(arm, track - INNER_END);
            case "rack" -> List.of(new double[] {arm, 0});
            case "sleeveClamp" -> both(arm, 160);
            case "ballJoint" -> both(BALL_JOINT[0], track - BALL_JOINT[1]);
            case "camBolt", "bush" -> both(-PIVOT[0], track - PIVOT[1]);
            case "springBolt" -> both(0, pad);
            case "topMount" -> both(TOP_MOUNT[0], track - TOP_MOUNT[1]);
            case "strutBolt" -> both(-60, track - BALL_JOINT[1] - 40);
            case "bearing", "hubNut" -> both(HUB[0], track - HUB[1]);
            case "wheelNut" -> both(0, track + 15);
            case "coupling" ->
                List.of(new double[] {(arm + STEERING_WHEEL[0]) / 2, (COUPLING + STEERING_WHEEL[1]) / 2});
            case "steeringWheel" -> List.of(STEERING_WHEEL);
            default -> List.of();
        };
    }

    private static List<double[]> both(double along, double left) {
        return List.of(new double[] {along, left}, new double[] {along, -left});
    }

    private void line(String style, double along1, double left1, double along2, double left2) {
        plan.line(style, scale * along1, scale * left1, scale * along2, scale * left2);
    }

    private void outline(String style, double... millimetres) {
        double[] scaled = new double[millimetres.length];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = scale * millimetres[i];
        }
        plan.outline(style, scaled);
    }
}
