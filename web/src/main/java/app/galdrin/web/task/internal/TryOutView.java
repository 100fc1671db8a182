package app.galdrin.web.task.internal;

import java.util.List;

/**
 * A task as three simulated people did it many times.
 *
 * @param sheets how many each
 * @param rows one a person
 * @param lines what it says of the scheme, sentences
 */
public record TryOutView(int sheets, List<Row> rows, List<String> lines) {

    public static final double WIDTH = 600;
    public static final double HEIGHT = 64;

    public double width() {
        return WIDTH;
    }

    public double height() {
        return HEIGHT;
    }

    /**
     * One person's sheets by their marks.
     *
     * @param bars of sheets with about the same percent, from the left
     * @param mean where the mean lies
     */
    public record Row(String key, String name, String what, List<Bar> bars, double mean, String said) {}

    /** A bar from the base line up; its numbers are the drawing's own. */
    public record Bar(double x, double y, double width, double height) {}
}
