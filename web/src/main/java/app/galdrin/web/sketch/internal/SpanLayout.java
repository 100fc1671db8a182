package app.galdrin.web.sketch.internal;

import app.galdrin.core.equipment.ToolLength;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.End;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import app.galdrin.web.sketch.Shape;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * An axle from above with what is laid on its wheels and the two distances across it, to its proportions; each axle that is asked has a
 * panel of its own.
 */
@AutoService(Layout.class)
public final class SpanLayout implements Layout {

    private static final double HEIGHT = 440;
    private static final double HEIGHT_UPRIGHT = 430;

    @Override
    public Set<String> procedures() {
        return Set.of("plates", "treadTape", "rigidFrames", "longBars", "outsideJig", "floorLaser");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        List<Axle> axles = asked.stream()
                .flatMap(p -> p.where().axle().stream())
                .distinct()
                .sorted()
                .toList();
        Pen pen = new Pen();
        Map<String, Box> fields = new HashMap<>();
        double width = upright ? 390 : 840;
        double panelWidth = upright ? width : width / axles.size();
        double height = upright ? HEIGHT_UPRIGHT : HEIGHT;
        boolean jig = asked.stream().anyMatch(p -> p.reading().is("jig"));
        for (int i = 0; i < axles.size(); i++) {
            Axle axle = axles.get(i);
            List<Place> places = asked.stream()
                    .filter(p -> p.where().axle().equals(Optional.of(axle)))
                    .toList();
            double left = upright ? 0 : i * panelWidth;
            double top = upright ? i * height : 0;
            new Panel(pen, sheet.geometry(), axle, upright, jig, new Box(left, top, panelWidth, height))
                    .draw(places, fields);
        }
        return pen.drawing(width, upright ? height * axles.size() : height, fields);
    }

    private static final class Panel {
        /** Lying, the tapes are nearer than their fields are wide: the fields stand apart along them. */
        private static final double STAGGER = 44;

        /** The most that is drawn between hub and tape: marks lie farther away than that. */
        private static final double FARTHEST = 130;

        private static final double USUAL_MARKS = 4000;

        private final Plan plan;
        private final VehicleGeometry geometry;
        private final Axle axle;
        private final boolean upright;
        private final Box paper;
        private final double scale;
        private final double halfTrack;
        private final double halfWidth;

        Panel(Pen pen, VehicleGeometry geometry, Axle axle, boolean upright, boolean jig, Box paper) {
            this.geometry = geometry;
            this.axle = axle;
            this.upright = upright;
            this.paper = paper;
            // a jig is read beside the left wheel and needs room there
            double span = jig ? upright ? 200 : 240 : upright ? 300 : 330;
            double aside = jig ? -46 : 0;
            this.scale = span / (geometry.track(axle) + 260);
            double middle = upright ? 195 : Math.min(330, paper.width() * 0.45);
            this.plan = new Plan(pen, upright, paper.x() + middle, paper.y() + (upright ? 200 : paper.height() / 2));
            this.halfTrack = scale * geometry.track(axle) / 2;
            this.halfWidth = Math.max(9, scale * 95);
        }

        void draw(List<Place> places, Map<String, Box> fields) {
            body();
            String reading = places.get(places.size() - 1).reading().key();
            for (Side side : Side.values()) {
                double left = side.sign() * halfTrack;
                double rim = scale * geometry.rim(axle) / 2;
                var follow = plan.turning(Wheel.of(axle, side), 0, left, halves(places));
                plan.pen()
                        .following(
                                List.of(follow),
                                () -> plan.wheel(0, left, scale * geometry.tyre(axle), rim, halfWidth));
            }
            tool(reading);
            for (Place place : places) {
                if (place.compared()) {
                    distance(reading, place, fields);
                } else {
                    aside(place, fields);
                }
            }
            words(reading);
        }

        /** Half of the total for each wheel: a longer span at the rear turns both in, as does a wider gap in front of a jig. */
        private Map<String, Double> halves(List<Place> places) {
            Map<String, Double> halves = new HashMap<>();
            for (Place place : places) {
                if (place.compared()) {
                    boolean front = place.end().orElseThrow() == End.FRONT;
                    int way = front == place.reading().is("jig") ? 1 : -1;
                    halves.put(
                            place.id(),
                            way * Math.toDegrees(0.5 / between(place.reading().key())));
                }
            }
            return halves;
        }

        /** The length between the two points of one wheel, mm, as is usual of the equipment. */
        private double between(String reading) {
            return switch (reading) {
                case "tread" -> 2 * geometry.tyre(axle);
                case "tape" -> ToolLength.PLATE_SLOTS.usual();
                case "frame" -> ToolLength.FRAME_PINS.usual();
                case "bar" -> ToolLength.BAR.usual();
                case "mark" -> USUAL_MARKS;
                default -> geometry.rim(axle);
            };
        }

        /** Half the length between the two points of one wheel, as drawn. */
        private double half(String reading) {
            return Math.min(FARTHEST, Math.max(scale * between(reading) / 2, 34));
        }

        /** Returns how far out of the wheel's middle the tape is hooked, as drawn. */
        private double out(String reading) {
            return reading.equals("tread") ? 0 : halfWidth + 6;
        }

        private void body() {
            double half = halfTrack + 70 * scale;
            double ahead = paper.width() > 500 && !upright ? 306 : 170;
            double toward = axle == Axle.FRONT ? -1 : 1;
            double nose = toward * Math.min(ahead, 900 * scale);
            double other = -toward * (upright ? 190 : Math.min(470, paper.width() * 0.5));
            plan.polyline(
                    "body",
                    other,
                    -half,
                    nose * 0.6,
                    -half,
                    nose,
                    -half * 0.55,
                    nose,
                    half * 0.55,
                    nose * 0.6,
                    half,
                    other,
                    half);
            plan.line("centreline", nose, 0, other, 0);
            plan.line("axle", 0, -halfTrack, 0, halfTrack);
        }

        private void tool(String reading) {
            double half = half(reading);
            for (int side : new int[] {1, -1}) {
                double at = side * (halfTrack + out(reading));
                switch (reading) {
                    case "tape" -> bar("plate", half + 14, at, 4);
                    case "frame" -> {
                        bar("tool", half + 8, at, 3);
                        double rim = scale * geometry.rim(axle) / 2;
                        double face = side * (halfTrack + halfWidth * 0.4);
                        for (double along : new double[] {-rim, 0, rim}) {
                            plan.line("tool", along, at, along, face);
                        }
                    }
                    case "bar" -> {
                        bar("tool", half, at, 2.5);
                        plan.line("tool", 0, at, 0, side * (halfTrack + halfWidth * 0.4));
                    }
                    case "mark" -> {
                        bar("tool", 18, at, 5);
                        plan.line("string", -half, at, half, at);
                        for (double along : new double[] {-half, half}) {
                            plan.line("tool", along, at - side * 14, along, at + side * 10);
                        }
                    }
                    default -> {}
                }
            }
            if (reading.equals("jig")) {
                jig(half);
            }
        }

        private void bar(String style, double half, double left, double thick) {
            plan.outline(style, -half, left - thick, half, left - thick, half, left + thick, -half, left + thick);
        }

        /** Returns the far end of the jig: from where it is hooked behind the right wheel's outer face to where it stands beyond the left one's. */
        private double jigEnd() {
            return halfTrack + halfWidth + 46;
        }

        private void jig(double half) {
            double far = -(halfTrack + halfWidth * 0.4);
            for (int end : new int[] {-1, 1}) {
                double along = end * half;
                plan.polyline("tool", along, far - 8, along, far, along, far, along, jigEnd() + 10);
                plan.line("tool", along - 7, far - 8, along + 7, far - 8);
                plan.line("tool", along - 7, jigEnd(), along + 7, jigEnd());
            }
        }

        private void distance(String reading, Place place, Map<String, Box> fields) {
            double along = (place.end().orElseThrow() == End.FRONT ? -1 : 1) * half(reading);
            double width = upright ? 108 : 104;
            double height = upright ? 48 : 34;
            if (reading.equals("jig")) {
                double face = halfTrack + halfWidth * 0.4;
                plan.dimension(along, face, along, jigEnd());
                double from = jigEnd() + 22;
                double aside = Math.signum(along) * Math.max(Math.abs(along), upright ? 34 : 62);
                plan.polyline("leader", along, jigEnd() - 6, aside, from);
                double x = plan.x(aside, from);
                double y = plan.y(aside, from);
                fields.put(
                        place.id(),
                        upright
                                ? new Box(Math.max(paper.x() + 2, x - 92), y - height / 2, 92, height)
                                : new Box(x - width / 2, y, width, height));
                return;
            }
            double end = halfTrack + out(reading);
            plan.dimension(along, -end, along, end);
            double apart = Math.abs(along) < 60 ? Math.signum(along) * STAGGER : 0;
            double across = upright ? 0 : Math.abs(along) < 60 ? apart : 30;
            fields.put(
                    place.id(),
                    new Box(plan.x(along, across) - width / 2, plan.y(along, across) - height / 2, width, height));
        }

        /** Draws what is read once for the axle in the corner, led to where it is read. */
        private void aside(Place place, Map<String, Box> fields) {
            double width = upright ? 108 : 96;
            double height = upright ? 48 : 34;
            double x = paper.x() + paper.width() - width - 14;
            double y = paper.y() + paper.height() - height - (upright ? 6 : 24);
            fields.put(place.id(), new Box(x, y, width, height));
            double[] to = place.reading().is("below")
                    ? new double[] {plan.x(0, halfTrack), plan.y(0, halfTrack)}
                    : new double[] {plan.x(FARTHEST * 0.6, halfTrack + 9), plan.y(FARTHEST * 0.6, halfTrack + 9)};
            plan.pen().line("leader", x + width / 2, y, to[0], to[1]);
        }

        private void words(String reading) {
            plan.pen()
                    .label(
                            "view-name",
                            paper.x() + 14,
                            paper.y() + 18,
                            "start",
                            axle == Axle.FRONT ? "sketch.axle.front" : "sketch.axle.rear");
            if (upright) {
                plan.labelAt("note", paper.x() + paper.width() - 12, paper.y() + 18, "end", "sketch.front.up");
            } else {
                double from = half(reading) > 90 ? -14 : -half(reading) - 16;
                plan.pointer(from, 0, from - 38, 0);
                plan.label("note", from, -6, "end", "sketch.front");
            }
            plan.labelAt(
                    Shape.RULE_OF_THUMB,
                    paper.x() + (upright ? paper.width() / 2 : paper.width() * 0.72),
                    reading.equals("jig") ? paper.y() + 36 : paper.y() + paper.height() - (upright ? 62 : 14),
                    "middle",
                    "sketch." + (reading.equals("jig") ? "jig" : "span") + ".sign");
            if (reading.equals("mark")) {
                plan.labelAt(
                        "note",
                        paper.x() + 14,
                        paper.y() + (upright ? paper.height() - 36 : 36),
                        "start",
                        "sketch.mark.shortened");
            }
        }
    }
}
