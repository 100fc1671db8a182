package app.galdrin.web.sketch;

import java.util.List;
import java.util.Map;

/**
 * One way of laying a sketch out.
 *
 * @param fields where each place's field stands
 */
public record Drawing(double width, double height, List<Shape> shapes, Map<String, Box> fields) {

    public Drawing {
        shapes = List.copyOf(shapes);
        fields = Map.copyOf(fields);
    }
}
