package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.BoxPlaces;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Shape;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Two strings along the vehicle. The vehicle is drawn to its proportions; the gaps between rim and string are drawn wider
 * than they are, so that there is room for their dimension lines. Fields stand outside the string they belong to.
 */
final class StringsDrawing {

    /** Drawn distance of a string from the wheel's outer face. */
    private static final double GAP = 46;

    /** Distance from a string's end to the station where the spacing is read. */
    private static final double STATION = 36;

    /** Distance from the centreline to the line that measures between the stations: lying, upright. */
    private static final double STATIONS_ASIDE = 54;

    private static final double STATIONS_ASIDE_UPRIGHT = 24;

    /** Room for words, spacing and string beyond the axles when upright. */
    private static final double ABOVE_FRONT_AXLE = 212;

    private static final double BELOW_REAR_AXLE = 178;

    private final VehicleGeometry geometry;
    private final boolean upright;
    private final boolean battens;

    // what the two layouts differ in, drawing units
    private final double width;
    private final double scale;
    private final double fieldWidth;
    private final double fieldHeight;
    /** Distance from one field to the next along the string. */
    private final double pitch;
    /** Distance from the string to the near edge of its fields. */
    private final double standOff;

    private final Map<String, Box> fields = new HashMap<>();
    private final double wheelbase;
    private final double string;
    private final double height;
    private final Plan plan;

    StringsDrawing(VehicleGeometry geometry, boolean upright, boolean battens) {
        this.battens = battens;
        this.geometry = geometry;
        this.upright = upright;
        this.fieldWidth = upright ? 72 : 62;
        this.fieldHeight = upright ? 46 : 34;
        this.pitch = upright ? 66 : 70;
        this.standOff = upright ? 12 : 26;
        double widestTrack = Math.max(geometry.frontTrack(), geometry.rearTrack());
        if (upright) {
            this.width = 390;
            this.string = width / 2 - fieldWidth - standOff - 2;
            // as large as fits between the strings, and no shorter than two groups of fields
            double byTrack = 2 * (string - GAP) / (widestTrack + 200);
            this.scale = Math.max(byTrack, 3 * pitch / geometry.wheelbase());
            this.wheelbase = scale * geometry.wheelbase();
            this.height = ABOVE_FRONT_AXLE + wheelbase + BELOW_REAR_AXLE;
            this.plan = new Plan(true, width / 2, ABOVE_FRONT_AXLE);
        } else {
            this.width = 840;
            this.scale = 440 / geometry.wheelbase();
            this.wheelbase = 440;
            this.string = scale * (widestTrack / 2 + 100) + GAP;
            this.height = 2 * (string + standOff + fieldHeight + 22);
            this.plan = new Plan(false, 186, height / 2);
        }
    }

    Drawing drawing() {
        draw();
        return plan.drawing(width, Math.rint(height), fields);
    }

    private void draw() {
        plan.body(wheelbase, drawnHalfTrack(true), scale);
        for (Wheel wheel : Wheel.values()) {
            wheel(wheel);
        }
        double front = upright ? -166 : -178;
        double rear = upright ? wheelbase + 166 : wheelbase + 206;
        for (int side : new int[] {1, -1}) {
            plan.line("string", front + 6, side * string, rear - 6, side * string);
        }
        if (battens) {
            batten(front + STATION - 12);
            batten(rear - STATION + 12);
            spacing("notches", front + STATION);
        } else {
            spacing(BoxPlaces.SPACING_FRONT.name(), front + STATION);
            spacing(BoxPlaces.SPACING_REAR.name(), rear - STATION);
        }
        stations(front + STATION, rear - STATION);
        notes();
    }

    private double drawnHalfTrack(boolean front) {
        double track = front ? geometry.frontTrack() : geometry.rearTrack();
        double widest = Math.max(geometry.frontTrack(), geometry.rearTrack());
        // upright on a short vehicle the length sets the scale, and the track gives way
        double most = string - GAP - (upright ? 10 : 0);
        return upright ? Math.min(scale * track / 2, most * track / widest) : scale * track / 2;
    }

    private void wheel(Wheel wheel) {
        double along = wheel.front() ? 0 : wheelbase;
        int side = wheel.left() ? 1 : -1;
        double left = side * drawnHalfTrack(wheel.front());
        double rimRadius = scale * geometry.rim(wheel.axle()) / 2;
        double halfWidth = Math.max(7, scale * 95);
        double each = Math.toDegrees(1 / geometry.rim(wheel.axle()));
        var follow = plan.turning(
                wheel, along, left, Map.of(BoxPlaces.frontGap(wheel), each, BoxPlaces.rearGap(wheel), -each));
        plan.pen()
                .following(
                        List.of(follow),
                        () -> plan.wheel(along, left, scale * geometry.tyre(wheel.axle()), rimRadius, halfWidth));
        double face = left + side * halfWidth * 0.4;
        double readAt = Math.max(rimRadius, 30);
        double middle = groupMiddle(wheel.front());
        gap(BoxPlaces.frontGap(wheel), along - rimRadius, along - readAt, middle - pitch, side, face);
        gap(BoxPlaces.hubGap(wheel), along, along, middle, side, face);
        gap(BoxPlaces.rearGap(wheel), along + rimRadius, along + readAt, middle + pitch, side, face);
    }

    /** The groups of two fields' lengths stand over their wheels, pushed apart where the wheels are too near. */
    private double groupMiddle(boolean front) {
        double push = Math.max(0, 3 * pitch + 4 - wheelbase) / 2;
        return front ? -push : wheelbase + push;
    }

    /** One gap: from the rim to the string, with a witness line where it is drawn wide of the rim's end, and its field. */
    private void gap(String place, double rimAlong, double dimAlong, double fieldAlong, int side, double face) {
        if (rimAlong != dimAlong) {
            plan.line("witness", rimAlong, face, dimAlong, face);
        }
        plan.dimension(dimAlong, face, dimAlong, side * string);
        double near = string + standOff;
        plan.polyline(
                "leader",
                dimAlong,
                side * string,
                dimAlong,
                side * (string + standOff * 0.35),
                fieldAlong,
                side * near);
        double x = plan.x(fieldAlong, side * near);
        double y = plan.y(fieldAlong, side * near);
        fields.put(
                place,
                upright
                        ? new Box(side > 0 ? x - fieldWidth : x, y - fieldHeight / 2, fieldWidth, fieldHeight)
                        : new Box(x - fieldWidth / 2, side > 0 ? y : y - fieldHeight, fieldWidth, fieldHeight));
    }

    /** Across both strings, a notch at each. */
    private void batten(double along) {
        double end = string + 9;
        plan.outline("tool", along - 3, -end, along + 3, -end, along + 3, end, along - 3, end);
        for (int side : new int[] {1, -1}) {
            plan.line("tool", along - 5, side * string, along + 5, side * string);
        }
    }

    private void spacing(String place, double along) {
        plan.dimension(along, -string, along, string);
        double w = upright ? 84 : 72;
        fields.put(place, new Box(plan.x(along, 0) - w / 2, plan.y(along, 0) - fieldHeight / 2, w, fieldHeight));
    }

    /** The distance between the stations runs inside the body, clear of the gaps. */
    private void stations(double front, double rear) {
        double left = upright ? -STATIONS_ASIDE_UPRIGHT : STATIONS_ASIDE;
        double middle = (front + rear) / 2;
        plan.dimension(front, left, rear, left);
        double w = upright ? 84 : 72;
        fields.put(
                BoxPlaces.STATION_DISTANCE.name(),
                new Box(plan.x(middle, left) - w / 2, plan.y(middle, left) - fieldHeight / 2, w, fieldHeight));
    }

    private void notes() {
        if (upright) {
            plan.labelAt("note", width / 2, 14, "middle", "sketch.front.up");
        } else {
            plan.pointer(-0.02 * wheelbase, 0, -0.14 * wheelbase, 0);
            plan.labelAt("note", plan.x(0.03 * wheelbase, 0), plan.y(0, 0) - 6, "start", "sketch.front");
            plan.label("string-name", wheelbase * 0.5, string + 15, "middle", "sketch.string.left");
            plan.label("string-name", wheelbase * 0.5, -(string + 7), "middle", "sketch.string.right");
        }
        if (upright) {
            plan.labelAt(Shape.RULE_OF_THUMB, width / 2, 30, "middle", "sketch.strings.sign");
        } else {
            plan.label(Shape.RULE_OF_THUMB, wheelbase * 0.5, -22, "middle", "sketch.strings.sign");
        }
    }
}
