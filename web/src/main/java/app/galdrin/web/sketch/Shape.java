package app.galdrin.web.sketch;

import org.jspecify.annotations.Nullable;

/** A stroke of a drawing. {@code style} is a class of the style sheet; lengths are units of the drawing. */
public sealed interface Shape {

    /** The style of words that say which way a figure comes out. */
    String RULE_OF_THUMB = "rule-of-thumb";

    /** The name of the template fragment's case. */
    String kind();

    String style();

    /** The option it belongs to, where something is chosen before the readings: {@code lineSide-inboard}; else null. */
    @Nullable
    String option();

    /**
     * A path in SVG's path language; {@code position} names the position of the vehicle it shows, if it shows one of several, and
     * {@code follows} the {@link Follow} that moves it.
     */
    record Path(
            String style,
            String d,
            @Nullable String position,
            @Nullable String option,
            @Nullable String follows) implements Shape {
        @Override
        public String kind() {
            return "path";
        }
    }

    /** A text; {@code words} is a message key, {@code filled} that of what stands in it, {@code anchor} start, middle or end. */
    record Label(
            String style,
            double x,
            double y,
            String anchor,
            String words,
            @Nullable String filled,
            @Nullable String option)
            implements Shape {
        @Override
        public String kind() {
            return "label";
        }
    }

    /** A text as it is; {@code anchor} start, middle or end. */
    record Text(String style, double x, double y, String anchor, String text) implements Shape {
        @Override
        public String kind() {
            return "text";
        }

        @Override
        public @Nullable String option() {
            return null;
        }
    }
}
