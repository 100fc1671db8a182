package app.galdrin.web.sketch;

/** A rectangle in a drawing's units, from its upper left corner. */
public record Box(double x, double y, double width, double height) {

    public boolean overlaps(Box other) {
        return x < other.x + other.width && other.x < x + width && y < other.y + other.height && other.y < y + height;
    }

    public boolean inside(double drawingWidth, double drawingHeight) {
        return x >= 0 && y >= 0 && x + width <= drawingWidth && y + height <= drawingHeight;
    }
}
