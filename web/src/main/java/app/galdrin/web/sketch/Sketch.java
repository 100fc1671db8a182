package app.galdrin.web.sketch;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.procedure.Place;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A dimensioned sketch of one vehicle and one procedure, laid out lying (front to the left) and upright (front up).
 *
 * @param key names its sheet of positions
 * @param address of that sheet
 * @param places in walking order
 */
public record Sketch(String key, String address, List<SketchPlace> places, Drawing lying, Drawing upright) {

    /**
     * A place that is written on.
     *
     * @param number its turn in the walk round the vehicle, from 1
     */
    public record SketchPlace(Place place, int number) {

        public String id() {
            return place.id();
        }

        public boolean eachRepeat() {
            return place.eachRepeat();
        }

        /** Key of its name, in which the wheel is filled. */
        public String words() {
            return place.words();
        }

        /** Key of the wheel's words. */
        public String wheelWords() {
            return place.wheel().map(w -> "wheel." + w.key()).orElse("wheel.none");
        }

        /** Class by which the style sheet puts its field in place. */
        public String style() {
            return "at-" + id().replace('.', '-') + (sensed() ? " sensed" : "");
        }

        /** Whether a way is chosen beside the size. */
        public boolean sensed() {
            return place.answer() instanceof SizeAndSense;
        }

        /** The position of the wheel it is read in, where a drawing shows several; else null. */
        public @Nullable String position() {
            int dot = place.reading().indexOf('.');
            return dot < 0
                    ? null
                    : place.wheel()
                            .map(w -> w.key() + place.reading().substring(dot))
                            .orElse(null);
        }

        /** Whether it belongs to the left side of a plan, which lies below when the front is to the left. */
        public boolean onLeft() {
            return place.end().isPresent()
                    && place.wheel().filter(w -> w.left()).isPresent();
        }
    }
}
