package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.ReadingType.Subject;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Follow;
import app.galdrin.web.sketch.Layout;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * A wheel on its turn plate seen from above, front to the left: where it stands for each reading, the one being written in ink and the
 * others as ghosts. Outboard, where one stands, is below for a left wheel and above for a right one.
 */
@AutoService(Layout.class)
public final class SweepLayout implements Layout {

    private static final double ON_PLATES = Math.toRadians(20);

    /** A wheel turns more outward, where it is the inner one, than inward. */
    private static final double OUT_LOCK = Math.toRadians(38);

    private static final double IN_LOCK = Math.toRadians(32);
    private static final double MOST_TURNED = 60;
    private static final double PLATE = 92;
    private static final double WHEEL_LENGTH = 74;
    private static final double WHEEL_HALF = 25;
    private static final double ROW = 88;

    /** Height of a row on a phone: a size and its direction are each as high as a fingertip, and the name of the next row needs its line. */
    private static final double ROW_UPRIGHT = 112;

    private static final double STEER_UPRIGHT = 46;
    private static final double CAMBER_UPRIGHT = 88;
    private static final List<String> POSITIONS = List.of("out", "halfOut", "ahead", "halfIn", "in");

    @Override
    public Set<String> procedures() {
        return Set.of("sweep", "sweep90", "sweepFive", "fullLock");
    }

    /** The position a place is read in: out, ahead or in. */
    static String position(Place place) {
        return place.reading().position();
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        Set<String> positions =
                new TreeSet<>(asked.stream().map(SweepLayout::position).toList());
        double height = upright ? 280 + positions.size() * ROW_UPRIGHT : Math.max(300, 60 + positions.size() * ROW);
        var panels = new Panels(asked, upright, height);
        Pen pen = new Pen();
        Map<String, Box> fields = new HashMap<>();
        for (Wheel wheel : panels.wheels()) {
            new Panel(pen, panels, wheel, upright, height).draw(positions, fields);
        }
        return pen.drawing(panels.width(), panels.height(), fields);
    }

    private static final class Panel {
        private final Pen pen;
        private final Panels panels;
        private final Wheel wheel;
        private final boolean upright;
        private final double left;
        private final double top;
        private final double x;
        private final double y;
        /** +1 where outboard is below. */
        private final int out;

        private final boolean lock;

        Panel(Pen pen, Panels panels, Wheel wheel, boolean upright, double height) {
            this.pen = pen;
            this.panels = panels;
            this.wheel = wheel;
            this.upright = upright;
            this.out = wheel.left() ? 1 : -1;
            this.lock = panels.places(wheel).stream().anyMatch(p -> p.tool().equals("lock"));
            this.left = panels.x(wheel);
            this.top = panels.y(wheel);
            this.x = left + (upright ? 195 : 138);
            this.y = top + (upright ? 150 : height / 2);
        }

        void draw(Set<String> positions, Map<String, Box> fields) {
            plate();
            for (String position : POSITIONS) {
                if (positions.contains(position)) {
                    wheelAt(position, angle(position));
                }
            }
            sense();
            words();
            int row = 0;
            for (String position : POSITIONS) {
                if (positions.contains(position)) {
                    fields(position, row++, fields);
                }
            }
        }

        private void plate() {
            pen.circle("plate-edge", x, y, PLATE);
            pen.circle("body", x, y, PLATE - 6);
            for (int degrees = 0; degrees < 360; degrees += 10) {
                double a = Math.toRadians(degrees);
                double inner = PLATE - 14;
                pen.line(
                        "body",
                        x + inner * Math.cos(a),
                        y + inner * Math.sin(a),
                        x + (PLATE - 6) * Math.cos(a),
                        y + (PLATE - 6) * Math.sin(a));
            }
            pen.line("centreline ink", x - PLATE - 14, y, x + PLATE + 4, y);
            pen.pointer(x - PLATE + 4, y, x - PLATE - 22, y);
        }

        /** The angle the wheel is drawn at: positive turns its front outboard. */
        private double angle(String position) {
            return switch (position) {
                case "out" -> lock ? OUT_LOCK : ON_PLATES;
                case "in" -> lock ? -IN_LOCK : -ON_PLATES;
                case "halfOut" -> ON_PLATES / 2;
                case "halfIn" -> -ON_PLATES / 2;
                default -> 0;
            };
        }

        /** A point of the wheel turned by an angle, front to the left; {@code outboard} of its middle. */
        private double[] turned(double angle, double... forwardOut) {
            double[] xy = new double[forwardOut.length];
            for (int i = 0; i < xy.length; i += 2) {
                double forward = forwardOut[i] * Math.cos(angle) - forwardOut[i + 1] * Math.sin(angle);
                double outboard = forwardOut[i] * Math.sin(angle) + forwardOut[i + 1] * Math.cos(angle);
                xy[i] = x - forward;
                xy[i + 1] = y + out * outboard;
            }
            return xy;
        }

        private void wheelAt(String position, double angle) {
            String steer = panels.places(wheel).stream()
                    .filter(p -> position(p).equals(position) && p.reading().subject() != Subject.WHEEL_LEAN)
                    .map(Place::id)
                    .findFirst()
                    .orElse("");
            // turned outward is counted against the clock where outboard lies below
            double each = angle > 0 ? -out : out;
            var follow = Follow.turning(
                    wheel.key() + "." + position,
                    x,
                    y,
                    -out * Math.toDegrees(angle),
                    MOST_TURNED,
                    1,
                    List.of(Follow.Term.of(steer, each)));
            pen.following(steer.isEmpty() ? List.of() : List.of(follow), () -> outline(position, angle));
        }

        private void outline(String position, double angle) {
            double l = WHEEL_LENGTH;
            double w = WHEEL_HALF;
            double c = 6;
            pen.outlineAt(
                    "swept",
                    wheel.key() + "." + position,
                    turned(
                            angle, l - c, -w, l, -w + c, l, w - c, l - c, w, -l + c, w, -l, w - c, -l, -w + c, -l + c,
                            -w));
        }

        /** Marks the directions out and in, from the front of the wheel; the words stand beside the plate. */
        private void sense() {
            double r = PLATE + 10;
            double spread = Math.toRadians(30);
            double near = Math.toRadians(14);
            for (int way : new int[] {out, -out}) {
                double toX = x - r * Math.cos(spread);
                double toY = y + way * r * Math.sin(spread);
                pen.bow("sense", x - r * Math.cos(near), y + way * r * Math.sin(near), toX, toY, r, way < 0);
                double before = spread * 0.8;
                pen.arrow("sense-head", toX, toY, x - r * Math.cos(before), y + way * r * Math.sin(before));
                String words = way == out ? "sketch.turnedOut" : "sketch.turnedIn";
                pen.label("sense-words", x - PLATE + 14, y + way * 76 + 4, "end", words);
            }
        }

        private void words() {
            pen.label("view-name", left + 14, top + 18, "start", "sketch.fromAbove", "wheel." + wheel.key());
            pen.label("note", x - PLATE - 4, y - 6, "end", "sketch.front");
            pen.label("note", x, y + out * (PLATE + (out > 0 ? 18 : 10)), "middle", "sketch.outboard");
        }

        private void fields(String position, int row, Map<String, Box> fields) {
            double fieldsX = upright ? left + 52 : left + 241;
            double fieldsY = upright ? top + 292 + row * ROW_UPRIGHT : top + 52 + row * ROW;
            for (Place place : panels.places(wheel)) {
                if (position(place).equals(position)) {
                    boolean steer = place.reading().subject() != Subject.WHEEL_LEAN;
                    double width = upright ? 124 : steer ? 62 : 106;
                    double offset = steer ? 0 : upright ? 160 : 67;
                    fields.put(place.id(), new Box(fieldsX + offset, fieldsY, width, height(steer)));
                }
            }
            if (position.equals("ahead")) {
                pen.label("ahead-words", fieldsX + (upright ? 62 : 31), fieldsY + 16, "middle", "sketch.ahead.first");
                pen.label("ahead-words", fieldsX + (upright ? 62 : 31), fieldsY + 30, "middle", "sketch.ahead.second");
            }
        }

        private double height(boolean steer) {
            if (upright) {
                return steer ? STEER_UPRIGHT : CAMBER_UPRIGHT;
            }
            return steer ? 34 : 58;
        }
    }
}
