package app.galdrin.web.sketch.internal;

import app.galdrin.web.sketch.Shape;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Draws strokes and words on a sheet: x to the right, y down, in units of the drawing. */
final class Pen {

    private static final double ARROW = 7;
    private static final double ARROW_HALF = 2.4;

    /** Strokes of one style are one path: a drawing has hundreds of strokes and a dozen styles. */
    private final Map<Stroke, StringBuilder> strokes = new LinkedHashMap<>();

    private final List<Shape> labels = new ArrayList<>();

    private @Nullable String option;

    private record Stroke(
            String style,
            @Nullable String position,
            @Nullable String option) {}

    /** What is drawn here is so when an option is chosen, {@code lineSide-inboard}; with null again whatever is chosen. */
    void when(@Nullable String chosen) {
        option = chosen;
    }

    /** Styles in the order in which they were first drawn, then the words. */
    List<Shape> shapes() {
        List<Shape> shapes = new ArrayList<>();
        strokes.forEach((stroke, d) ->
                shapes.add(new Shape.Path(stroke.style(), d.toString(), stroke.position(), stroke.option())));
        shapes.addAll(labels);
        return shapes;
    }

    private void stroke(String style, @Nullable String position, String d) {
        strokes.computeIfAbsent(new Stroke(style, position, option), s -> new StringBuilder())
                .append(d);
    }

    void line(String style, double x1, double y1, double x2, double y2) {
        stroke(style, null, "M" + point(x1, y1) + "L" + point(x2, y2));
    }

    /** An open line through points given as x, y pairs. */
    void polyline(String style, double... xy) {
        stroke(style, null, points(xy));
    }

    /** A closed outline through points given as x, y pairs. */
    void outline(String style, double... xy) {
        stroke(style, null, points(xy) + "Z");
    }

    /** A closed outline that shows one of several positions. */
    void outlineAt(String style, String position, double... xy) {
        stroke(style, position, points(xy) + "Z");
    }

    void circle(String style, double x, double y, double radius) {
        stroke(style, null, "M" + point(x - radius, y) + arc(radius, x + radius, y) + arc(radius, x - radius, y) + "Z");
    }

    private static String arc(double radius, double x, double y) {
        return String.format(Locale.ROOT, "A%.1f %.1f 0 1 1 %s", radius, radius, point(x, y));
    }

    /** A bow from one point to another. */
    void bow(String style, double x1, double y1, double x2, double y2, double radius, boolean clockwise) {
        stroke(
                style,
                null,
                "M" + point(x1, y1)
                        + String.format(
                                Locale.ROOT, "A%.1f %.1f 0 0 %d %s", radius, radius, clockwise ? 1 : 0, point(x2, y2)));
    }

    /** A dimension line with an arrowhead at each end. */
    void dimension(double x1, double y1, double x2, double y2) {
        line("dim", x1, y1, x2, y2);
        arrow("arrow", x1, y1, x2, y2);
        arrow("arrow", x2, y2, x1, y1);
    }

    /** A line with an arrowhead at its end. */
    void pointer(double x1, double y1, double x2, double y2) {
        line("dim", x1, y1, x2, y2);
        arrow("arrow", x2, y2, x1, y1);
    }

    /** An arrowhead at a point, coming from another. */
    void arrow(String style, double atX, double atY, double fromX, double fromY) {
        double length = Math.hypot(fromX - atX, fromY - atY);
        double x = (fromX - atX) / length;
        double y = (fromY - atY) / length;
        outline(
                style,
                atX,
                atY,
                atX + x * ARROW - y * ARROW_HALF,
                atY + y * ARROW + x * ARROW_HALF,
                atX + x * ARROW + y * ARROW_HALF,
                atY + y * ARROW - x * ARROW_HALF);
    }

    void label(String style, double x, double y, String anchor, String words) {
        labels.add(new Shape.Label(style, round(x), round(y), anchor, words, null, option));
    }

    /** Words with other words filled in. */
    void label(String style, double x, double y, String anchor, String words, String filled) {
        labels.add(new Shape.Label(style, round(x), round(y), anchor, words, filled, option));
    }

    private static String points(double... xy) {
        StringBuilder d = new StringBuilder();
        for (int i = 0; i < xy.length; i += 2) {
            d.append(i == 0 ? "M" : "L").append(point(xy[i], xy[i + 1]));
        }
        return d.toString();
    }

    static String point(double x, double y) {
        return tenths(x) + " " + tenths(y);
    }

    /** To one decimal; a drawing has thousands of these, and a format string is read anew each time. */
    private static String tenths(double v) {
        long tenths = Math.round(v * 10);
        return (tenths < 0 ? "-" : "") + Math.abs(tenths) / 10 + "." + Math.abs(tenths) % 10;
    }

    private static double round(double v) {
        return Math.rint(v * 10) / 10;
    }
}
