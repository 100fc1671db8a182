package app.galdrin.web.sketch;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * One way of laying a sketch out.
 *
 * @param fields where each place's field stands
 * @param follows what moves with what is written
 */
public record Drawing(double width, double height, List<Shape> shapes, Map<String, Box> fields, List<Follow> follows) {

    public Drawing {
        shapes = List.copyOf(shapes);
        follows = List.copyOf(follows);
        fields = Map.copyOf(fields);
    }

    /** The same without what tells the sign of a figure. */
    Drawing silent() {
        return new Drawing(
                width,
                height,
                shapes.stream()
                        .filter(s -> !s.style().equals(Shape.RULE_OF_THUMB))
                        .toList(),
                fields,
                follows);
    }

    /** Returns how high it is, in the unit of the width that it is given. */
    public double heightAt(double given) {
        return given * height / width;
    }

    /** Returns what moves, as the script reads it; empty where nothing does. */
    public String followed() {
        return follows.stream().map(Follow::said).collect(Collectors.joining("|"));
    }
}
