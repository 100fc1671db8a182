package app.galdrin.web.sketch;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.Place;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A dimensioned sketch of one vehicle and one procedure, laid out lying (front to the left) and upright (front up).
 *
 * @param key names its sheet of positions
 * @param address of that sheet
 * @param choices what is chosen before it is read; strokes and words that go with an option name it
 * @param places in walking order
 */
public record Sketch(
        String key, String address, List<Choice> choices, List<SketchPlace> places, Drawing lying, Drawing upright) {

    /** The same without the words that say which way a figure comes out: those are what an assessment asks for. */
    public Sketch silent() {
        return new Sketch(key, address, choices, places, lying.silent(), upright.silent());
    }

    /** Classes of the drawing's paper by which it shows what was chosen, an option by the id of its choice. */
    public String as(Map<String, String> chosen) {
        StringBuilder classes = new StringBuilder(key);
        chosen.forEach((id, option) ->
                classes.append(" ").append(chose(id)).append(" ").append(chose(option(id, option))));
        return classes.toString();
    }

    static String chose(String what) {
        return "chose-" + what;
    }

    /** The name by which strokes and words of a drawing go with an option. */
    public static String option(String choice, String option) {
        return choice + "-" + option;
    }

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

        /** Key of the words of the wheel or the axle. */
        public String wheelWords() {
            return place.wheelWords();
        }

        /** Class by which the style sheet puts its field in place. */
        public String style() {
            return "at-" + id().replace('.', '-') + (sensed() ? " sensed" : "");
        }

        /** Key of what a bare figure counts as there. */
        public String unit() {
            return place.instrument().unit().key();
        }

        /** Returns whether a way is chosen beside the size. */
        public boolean sensed() {
            return place.answer() instanceof SizeAndSense;
        }

        /** The position of the wheel it is read in, where a drawing shows several; else null. */
        public @Nullable String position() {
            return place.reading().isTurned()
                    ? place.wheel()
                            .map(w -> w.key() + "." + place.reading().position())
                            .orElse(null)
                    : null;
        }

        /** Returns whether it belongs to the left side of a plan, which lies below when the front is to the left. */
        public boolean onLeft() {
            return place.end().isPresent()
                    && place.wheel().filter(w -> w.left()).isPresent();
        }
    }
}
