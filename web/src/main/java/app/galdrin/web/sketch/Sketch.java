package app.galdrin.web.sketch;

import java.util.List;

/**
 * A dimensioned sketch of one vehicle and one method, laid out lying (front to the left) and upright (front up).
 *
 * @param key names its sheet of positions
 * @param places in walking order
 */
public record Sketch(String key, List<SketchPlace> places, Drawing lying, Drawing upright) {

    /**
     * A place that is written on.
     *
     * @param number its turn in the walk round the vehicle, from 1
     * @param words message key of its short name on the drawing
     * @param fullWords message key of its name by itself, for those who do not see the drawing
     */
    public record SketchPlace(String id, int number, boolean eachRepeat, String words, String fullWords) {

        /** Class by which the style sheet puts its field in place. */
        public String style() {
            return "at-" + id.replace('.', '-');
        }

        /** Whether it belongs to the left side of the vehicle, which lies below when the front is to the left. */
        public boolean onLeft() {
            return id.contains(".fl") || id.contains(".rl");
        }
    }
}
