package app.galdrin.web.sketch;

/** A stroke of a drawing. {@code style} is a class of the style sheet; lengths are units of the drawing. */
public sealed interface Shape {

    /** The name of the template fragment's case. */
    String kind();

    String style();

    /** A path in SVG's path language. */
    record Path(String style, String d) implements Shape {
        @Override
        public String kind() {
            return "path";
        }
    }

    /** A text; {@code words} is a message key, {@code anchor} start, middle or end. */
    record Label(String style, double x, double y, String anchor, String words) implements Shape {
        @Override
        public String kind() {
            return "label";
        }
    }
}
