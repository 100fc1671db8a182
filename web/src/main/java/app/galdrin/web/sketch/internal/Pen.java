package app.galdrin.web.sketch.internal;

import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Follow;
import app.galdrin.web.sketch.Shape;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Draws strokes and words on a sheet: x to the right, y down, in units of the drawing. Words are set last, each as near to where it is
 * wanted as it stands clear of fields, strokes and other words.
 */
final class Pen {

    private static final double ARROW = 7;
    private static final double ARROW_HALF = 2.4;

    /** Strokes of one style are one path: a drawing has hundreds of strokes and a dozen styles. */
    private final Map<Ink, StringBuilder> strokes = new LinkedHashMap<>();

    private final List<Stroke> lines = new ArrayList<>();
    private final List<WordRequest> wanted = new ArrayList<>();

    private final List<Follow> follows = new ArrayList<>();

    private @Nullable String option;
    private @Nullable String following;

    private record Ink(
            String style,
            @Nullable String position,
            @Nullable String option,
            @Nullable String follows) {}

    /** Words and where they are wanted. */
    private record WordRequest(
            String style,
            double x,
            double y,
            String anchor,
            String words,
            @Nullable String filled,
            @Nullable String option) {
        Box roomAt(double dx, double dy) {
            return Lettering.room(style, x + dx, y + dy, anchor, words);
        }

        Shape.Label at(double dx, double dy) {
            return new Shape.Label(style, round(x + dx), round(y + dy), anchor, words, filled, option);
        }
    }

    /** Binds what is drawn next to an option that is chosen, {@code lineSide-inboard}; with null it is drawn whatever is chosen. */
    void when(@Nullable String chosen) {
        option = chosen;
    }

    /** Lets what is drawn follow the hand, by whichever of these goes with what is chosen; all have one id. */
    void following(List<Follow> follow, Runnable drawing) {
        follows.addAll(follow);
        following = follow.isEmpty() ? null : follow.get(0).id();
        drawing.run();
        following = null;
    }

    /** The finished drawing: styles in the order in which they were first drawn, then the words. */
    Drawing drawing(double width, double height, Map<String, Box> fields) {
        List<Shape> shapes = new ArrayList<>();
        strokes.forEach((ink, d) ->
                shapes.add(new Shape.Path(ink.style(), d.toString(), ink.position(), ink.option(), ink.follows())));
        shapes.addAll(new WordSetter(width, height, fields.values()).all());
        return new Drawing(width, height, shapes, fields, follows);
    }

    /** Sets words one after the other. */
    private final class WordSetter {
        /** Greatest move of words, and its steps. */
        private static final double FARTHEST = 66;

        private static final double STEP = 6;
        private static final double NAME = 15;

        private final double width;
        private final double height;
        private final Collection<Box> fields;
        private final Map<Box, WordRequest> set = new LinkedHashMap<>();

        WordSetter(double width, double height, Collection<Box> fields) {
            this.width = width;
            this.height = height;
            this.fields = fields;
        }

        List<Shape> all() {
            List<Shape> labels = new ArrayList<>();
            for (WordRequest words : wanted) {
                double[] spot = nearestClear(words);
                set.put(words.roomAt(spot[0], spot[1]), words);
                labels.add(words.at(spot[0], spot[1]));
            }
            return labels;
        }

        /** Ring by ring about where they are wanted, up and down before aside; where it is nowhere clear, there. */
        private double[] nearestClear(WordRequest words) {
            for (double ring = 0; ring <= FARTHEST; ring += STEP) {
                for (double[] spot : ring(ring)) {
                    if (isClear(words, words.roomAt(spot[0], spot[1]))) {
                        return spot;
                    }
                }
            }
            return new double[] {0, 0};
        }

        private List<double[]> ring(double ring) {
            if (ring == 0) {
                return List.of(new double[] {0, 0});
            }
            List<double[]> around = new ArrayList<>();
            for (double along = 0; along <= ring; along += STEP) {
                for (int side : new int[] {-1, 1}) {
                    around.add(new double[] {side * along, -ring});
                    around.add(new double[] {side * along, ring});
                }
            }
            for (double along = 0; along < ring; along += STEP) {
                for (int side : new int[] {-1, 1}) {
                    around.add(new double[] {-2 * ring, side * along});
                    around.add(new double[] {2 * ring, side * along});
                }
            }
            return around;
        }

        private boolean isClear(WordRequest words, Box room) {
            return room.inside(width, height)
                    && fields.stream().noneMatch(field -> named(field).overlaps(room))
                    && set.entrySet().stream()
                            .noneMatch(e -> together(e.getValue().option(), words.option())
                                    && e.getKey().overlaps(room))
                    && lines.stream().noneMatch(l -> together(l.option(), words.option()) && l.crosses(room));
        }

        /** A field with its name, which stands above it or below. */
        private static Box named(Box field) {
            return new Box(field.x(), field.y() - NAME, field.width(), field.height() + 2 * NAME);
        }

        private static boolean together(@Nullable String one, @Nullable String other) {
            return one == null || other == null || one.equals(other);
        }
    }

    /** Keeps in mind what words must not stand on. */
    private void keep(String style, boolean closed, double... xy) {
        if (Stroke.isFaint(style)) {
            return;
        }
        for (int i = 0; i + 3 < xy.length; i += 2) {
            lines.add(new Stroke(xy[i], xy[i + 1], xy[i + 2], xy[i + 3], option));
        }
        if (closed) {
            int last = xy.length - 2;
            lines.add(new Stroke(xy[last], xy[last + 1], xy[0], xy[1], option));
        }
    }

    private void stroke(String style, @Nullable String position, String d) {
        strokes.computeIfAbsent(new Ink(style, position, option, following), s -> new StringBuilder())
                .append(d);
    }

    void line(String style, double x1, double y1, double x2, double y2) {
        keep(style, false, x1, y1, x2, y2);
        stroke(style, null, "M" + point(x1, y1) + "L" + point(x2, y2));
    }

    /** An open line through points given as x, y pairs. */
    void polyline(String style, double... xy) {
        keep(style, false, xy);
        stroke(style, null, points(xy));
    }

    /** A closed outline through points given as x, y pairs. */
    void outline(String style, double... xy) {
        keep(style, true, xy);
        stroke(style, null, points(xy) + "Z");
    }

    /** A closed outline that shows one of several positions. */
    void outlineAt(String style, String position, double... xy) {
        keep(style, true, xy);
        stroke(style, position, points(xy) + "Z");
    }

    void circle(String style, double x, double y, double radius) {
        keep(style, true, round(x, y, radius));
        stroke(style, null, "M" + point(x - radius, y) + arc(radius, x + radius, y) + arc(radius, x - radius, y) + "Z");
    }

    /** A protractor's half disc, its straight side on a face at a point: upright, or turned clockwise by an angle, rad. */
    void halfDisc(double x, double y, double turned, double radius) {
        int steps = 14;
        double[] xy = new double[2 * (steps + 1)];
        for (int i = 0; i <= steps; i++) {
            double angle = Math.PI + Math.PI * i / steps + turned;
            xy[2 * i] = x + radius * Math.cos(angle);
            xy[2 * i + 1] = y + radius * Math.sin(angle);
        }
        outline("tool", xy);
    }

    /** A circle as words see it. */
    private static double[] round(double x, double y, double radius) {
        int corners = 24;
        double[] xy = new double[2 * corners];
        for (int i = 0; i < corners; i++) {
            xy[2 * i] = x + radius * Math.cos(2 * Math.PI * i / corners);
            xy[2 * i + 1] = y + radius * Math.sin(2 * Math.PI * i / corners);
        }
        return xy;
    }

    private static String arc(double radius, double x, double y) {
        return String.format(Locale.ROOT, "A%.1f %.1f 0 1 1 %s", radius, radius, point(x, y));
    }

    /** A bow from one point to another. */
    void bow(String style, double x1, double y1, double x2, double y2, double radius, boolean clockwise) {
        keep(style, false, x1, y1, x2, y2);
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
        wanted.add(new WordRequest(style, x, y, anchor, words, null, option));
    }

    /** Words with other words filled in. */
    void label(String style, double x, double y, String anchor, String words, String filled) {
        wanted.add(new WordRequest(style, x, y, anchor, words, filled, option));
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

    /** Writes a number to one decimal; a drawing has thousands of these, and a format string is read again each time. */
    private static String tenths(double v) {
        long tenths = Math.round(v * 10);
        return (tenths < 0 ? "-" : "") + Math.abs(tenths) / 10 + "." + Math.abs(tenths) % 10;
    }

    private static double round(double v) {
        return Math.rint(v * 10) / 10;
    }
}
