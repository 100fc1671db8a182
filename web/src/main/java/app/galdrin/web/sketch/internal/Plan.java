package app.galdrin.web.sketch.internal;

import app.galdrin.web.sketch.Shape;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A vehicle seen from above while it is drawn. Points are given as {@code along} (behind the front axle) and {@code left}
 * (of the centreline), in drawing units; lying, the front points left and the left side down; upright, the front points
 * up.
 */
final class Plan {

    private static final double ARROW = 7;
    private static final double ARROW_HALF = 2.4;

    private final boolean upright;
    private final double originX;
    private final double originY;
    /** Strokes of one style are one path: a drawing has hundreds of strokes and a dozen styles. */
    private final Map<String, StringBuilder> strokes = new LinkedHashMap<>();

    private final List<Shape> labels = new ArrayList<>();

    /** {@code originX}, {@code originY}: where the middle of the front axle stands on the drawing. */
    Plan(boolean upright, double originX, double originY) {
        this.upright = upright;
        this.originX = originX;
        this.originY = originY;
    }

    boolean upright() {
        return upright;
    }

    /** Styles in the order in which they were first drawn, then the words. */
    List<Shape> shapes() {
        List<Shape> shapes = new ArrayList<>();
        strokes.forEach((style, d) -> shapes.add(new Shape.Path(style, d.toString())));
        shapes.addAll(labels);
        return shapes;
    }

    private void stroke(String style, String d) {
        strokes.computeIfAbsent(style, s -> new StringBuilder()).append(d);
    }

    double x(double along, double left) {
        return upright ? originX - left : originX + along;
    }

    double y(double along, double left) {
        return upright ? originY + along : originY + left;
    }

    void line(String style, double along1, double left1, double along2, double left2) {
        stroke(style, "M" + point(along1, left1) + "L" + point(along2, left2));
    }

    /** A closed outline through points given as along, left pairs. */
    void outline(String style, double... alongLeft) {
        stroke(style, points(alongLeft) + "Z");
    }

    void polyline(String style, double... alongLeft) {
        stroke(style, points(alongLeft));
    }

    private String points(double... alongLeft) {
        StringBuilder d = new StringBuilder();
        for (int i = 0; i < alongLeft.length; i += 2) {
            d.append(i == 0 ? "M" : "L").append(point(alongLeft[i], alongLeft[i + 1]));
        }
        return d.toString();
    }

    /** A dimension line with an arrowhead at each end. */
    void dimension(double along1, double left1, double along2, double left2) {
        line("dim", along1, left1, along2, left2);
        arrow(along1, left1, along2, left2);
        arrow(along2, left2, along1, left1);
    }

    /** A line with an arrowhead at its end. */
    void pointer(double along1, double left1, double along2, double left2) {
        line("dim", along1, left1, along2, left2);
        arrow(along2, left2, along1, left1);
    }

    private void arrow(double atAlong, double atLeft, double fromAlong, double fromLeft) {
        double length = Math.hypot(fromAlong - atAlong, fromLeft - atLeft);
        double a = (fromAlong - atAlong) / length;
        double l = (fromLeft - atLeft) / length;
        double baseAlong = atAlong + a * ARROW;
        double baseLeft = atLeft + l * ARROW;
        outline(
                "arrow",
                atAlong,
                atLeft,
                baseAlong - l * ARROW_HALF,
                baseLeft + a * ARROW_HALF,
                baseAlong + l * ARROW_HALF,
                baseLeft - a * ARROW_HALF);
    }

    /** A wheel with its rim as a heavy line and its hub as a tick. */
    void wheel(double along, double left, double tyreRadius, double rimRadius, double halfWidth) {
        double r = tyreRadius;
        double w = halfWidth;
        double c = Math.min(4, w / 2);
        outline(
                "tyre",
                along - r + c,
                left - w,
                along + r - c,
                left - w,
                along + r,
                left - w + c,
                along + r,
                left + w - c,
                along + r - c,
                left + w,
                along - r + c,
                left + w,
                along - r,
                left + w - c,
                along - r,
                left - w + c);
        double face = left + Math.signum(left) * w * 0.4;
        line("rim", along - rimRadius, face, along + rimRadius, face);
        line("hub", along, face - 4, along, face + 4);
    }

    /** The body and the axles, faint behind everything else. */
    void body(double wheelbase, double halfTrack, double scale) {
        double front = -0.24 * wheelbase;
        double rear = wheelbase * 1.26;
        double half = halfTrack + 70 * scale;
        double nose = half * 0.55;
        outline(
                "body",
                front,
                -nose,
                front * 0.55,
                -half,
                rear - 12,
                -half,
                rear,
                -half + 12,
                rear,
                half - 12,
                rear - 12,
                half,
                front * 0.55,
                half,
                front,
                nose);
        line("centreline", front - 14, 0, rear + 14, 0);
        line("axle", 0, -halfTrack, 0, halfTrack);
        line("axle", wheelbase, -halfTrack, wheelbase, halfTrack);
    }

    void label(String style, double along, double left, String anchor, String words) {
        labels.add(new Shape.Label(style, round(x(along, left)), round(y(along, left)), anchor, words));
    }

    void labelAt(String style, double x, double y, String anchor, String words) {
        labels.add(new Shape.Label(style, round(x), round(y), anchor, words));
    }

    private String point(double along, double left) {
        return String.format(Locale.ROOT, "%.1f %.1f", x(along, left), y(along, left));
    }

    private static double round(double v) {
        return Math.rint(v * 10) / 10;
    }
}
