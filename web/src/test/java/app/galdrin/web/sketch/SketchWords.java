package app.galdrin.web.sketch;

import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.awt.geom.AffineTransform;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Looks at the words of a drawing as the eye does: with letters of a sans face, against the strokes as they are in the file. */
final class SketchWords {

    private static final Set<String> FAINT = Set.of("body", "axle", "centreline", "hatch", "leader", "witness");
    private static final Pattern POINT = Pattern.compile("([MLAZ])([^MLAZ]*)");
    private static final FontRenderContext CONTEXT = new FontRenderContext(new AffineTransform(), true, true);
    private static final Properties WORDS = words();

    private SketchWords() {}

    private static Properties words() {
        var words = new Properties();
        for (String name : List.of("sketch", "procedures")) {
            try (Reader in = new InputStreamReader(
                    Objects.requireNonNull(SketchWords.class.getResourceAsStream("/messages/" + name + ".properties")),
                    StandardCharsets.UTF_8)) {
                words.load(in);
            } catch (java.io.IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
        }
        return words;
    }

    /** What is wrong with the words of a drawing, a line each. */
    static List<String> crossed(String what, Drawing drawing) {
        List<String> wrong = new ArrayList<>();
        List<Shape.Label> labels = drawing.shapes().stream()
                .filter(Shape.Label.class::isInstance)
                .map(Shape.Label.class::cast)
                .toList();
        for (Shape.Label label : labels) {
            Rectangle2D room = room(label);
            String name = what + ": " + label.words();
            if (!new Rectangle2D.Double(0, 0, drawing.width(), drawing.height()).contains(room)) {
                wrong.add(name + " off the paper");
            }
            drawing.fields().forEach((place, box) -> {
                if (room.intersects(box.x(), box.y(), box.width(), box.height())) {
                    wrong.add(name + " under the field " + place);
                }
            });
            labels.stream()
                    .filter(other -> other != label
                            && together(other, label)
                            && room(other).intersects(room))
                    .forEach(other -> wrong.add(name + " on " + other.words()));
            drawing.shapes().stream()
                    .filter(Shape.Path.class::isInstance)
                    .map(Shape.Path.class::cast)
                    .filter(path -> !FAINT.contains(path.style()) && together(path, label))
                    .filter(path -> lines(path.d()).stream().anyMatch(line -> line.intersects(room)))
                    .forEach(path -> wrong.add(name + " struck by " + path.style()));
        }
        return wrong;
    }

    private static boolean together(Shape one, Shape other) {
        return one.option() == null || other.option() == null || one.option().equals(other.option());
    }

    private static Rectangle2D room(Shape.Label label) {
        String filled = label.filled() == null ? "" : WORDS.getProperty(label.filled());
        String text = WORDS.getProperty(label.words()).replace("{0}", filled).replace("''", "'");
        boolean name = label.style().equals("view-name");
        var font = new Font(Font.SANS_SERIF, name ? Font.BOLD : Font.PLAIN, 1).deriveFont(name ? 12.5f : 11.5f);
        double width = font.getStringBounds(text, CONTEXT).getWidth();
        double left = label.anchor().equals("middle")
                ? label.x() - width / 2
                : label.anchor().equals("end") ? label.x() - width : label.x();
        return new Rectangle2D.Double(left, label.y() - 8.5, width, 10.5);
    }

    /** The straight stretches of a path; a bow as its chord. */
    private static List<Line2D> lines(String d) {
        List<Line2D> lines = new ArrayList<>();
        double[] start = {0, 0};
        double[] at = {0, 0};
        Matcher matcher = POINT.matcher(d);
        while (matcher.find()) {
            if (matcher.group(1).equals("Z")) {
                lines.add(new Line2D.Double(at[0], at[1], start[0], start[1]));
                continue;
            }
            String[] numbers = matcher.group(2).trim().split("[ ,]+");
            double x = Double.parseDouble(numbers[numbers.length - 2]);
            double y = Double.parseDouble(numbers[numbers.length - 1]);
            if (matcher.group(1).equals("M")) {
                start = new double[] {x, y};
            } else if (matcher.group(1).equals("L")) {
                lines.add(new Line2D.Double(at[0], at[1], x, y));
            }
            at = new double[] {x, y};
        }
        return lines;
    }
}
