package app.galdrin.web.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** A sketch for a page of paper, which has no fields over it: what was read is drawn with it. */
public final class OnPaper {

    /** Height of a figure, as a share of the drawing's width. */
    private static final double FIGURE = 0.0175;

    /** Height of the digits as a share of it. */
    private static final double DIGIT = 0.72;

    /** Distance from a field to what stands beside it. */
    private static final double GAP = 3;

    /** The hook before what a slip put here, from the foot of its figure. */
    private static final String HOOK = "M%.1f %.1fv-3a4 4 0 0 1 8 0v2m-2.5 -2.5l2.5 3l2.5 -3";

    private static final double HOOK_WIDTH = 14;

    private final Drawing drawing;
    private final List<Shape> shapes = new ArrayList<>();

    /** Lowest point at which something stands. */
    private double lowest;

    private OnPaper(Drawing drawing) {
        this.drawing = drawing;
        this.lowest = drawing.height();
    }

    /**
     * Reading that stands at a place.
     *
     * @param name of the place, with its number
     * @param own what was read
     * @param reference what the reference has
     * @param slipped what stands here by a slip; empty where none touches this place
     */
    public record PlacedReading(Sketch.SketchPlace place, String name, String own, String reference, String slipped) {}

    /** The sketch laid out lying; {@code chosen} holds an option by the id of its choice, what goes with other options is left out. */
    public static Drawing of(Sketch sketch, Map<String, String> chosen, List<PlacedReading> read) {
        Set<String> options = chosen.entrySet().stream()
                .map(e -> Sketch.option(e.getKey(), e.getValue()))
                .collect(Collectors.toSet());
        var paper = new OnPaper(sketch.lying());
        sketch.lying().shapes().stream()
                .filter(s -> s.option() == null || options.contains(s.option()))
                .forEach(paper.shapes::add);
        read.forEach(paper::field);
        Drawing lying = sketch.lying();
        return new Drawing(lying.width(), paper.lowest, paper.shapes, lying.fields(), List.of());
    }

    private void field(PlacedReading read) {
        Box box = Sketches.boxOf(drawing.fields(), read.place().id());
        double size = FIGURE * drawing.width();
        double right = box.x() + box.width() - GAP;
        double middle = box.y() + box.height() / 2;
        path(
                read.slipped().isEmpty() ? "field" : "field slipped",
                "M%.1f %.1fh%.1fv%.1fh%.1fz",
                box.x(),
                box.y(),
                box.width(),
                box.height(),
                -box.width());
        path("between", "M%.1f %.1fH%.1f", box.x() + GAP, middle, right);
        double above = (box.height() / 2 - DIGIT * size) / 2;
        text("own", right, middle - above, "end", read.own());
        text("ref", right, box.y() + box.height() - above, "end", read.reference());
        boolean below = read.place().onLeft();
        double centre = box.x() + box.width() / 2;
        double over = box.y() - GAP;
        double under = box.y() + box.height() + GAP + DIGIT * size;
        text("name", centre, below ? under : over, "middle", read.name());
        if (!read.slipped().isEmpty()) {
            double foot = below ? over : under;
            double from = centre - HOOK_WIDTH - read.slipped().length() * size / 4;
            path("hook", HOOK, from, foot);
            text("slip", from + HOOK_WIDTH, foot, "start", read.slipped());
        }
    }

    private void path(String style, String form, Object... at) {
        shapes.add(new Shape.Path(style, String.format(Locale.ROOT, form, at), null, null, null));
    }

    private void text(String style, double x, double y, String anchor, String text) {
        shapes.add(new Shape.Text(style, x, y, anchor, text));
        lowest = Math.max(lowest, y);
    }
}
