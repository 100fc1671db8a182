package app.galdrin.web.sketch;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Strokes of a drawing that follow the hand: what is written at places turns them about a point, or shifts them along the paper.
 *
 * @param id names the strokes that follow
 * @param x of the point they turn about; {@code y} likewise
 * @param shiftX how they are shifted for 1; with {@code shiftY} both 0 they turn, clockwise on the paper where positive
 * @param terms what is written where moves them; they move once all of it is written
 * @param drawn what they are drawn at before anything is written, in degrees or drawing units
 * @param most the most they are moved to, in degrees or drawing units
 * @param moves what it is said to do; {@code times} how many times larger than it is
 * @param option the option with which they follow so, where something is chosen before the readings; else null
 */
public record Follow(
        String id,
        double x,
        double y,
        double shiftX,
        double shiftY,
        List<Term> terms,
        double drawn,
        double most,
        Moves moves,
        int times,
        @Nullable String option) {

    /** Movement that is announced: the end of a message key. */
    public enum Moves {
        TURNS("turns"),
        LEANS("leans"),
        SHIFTS("shifts");

        private final String key;

        Moves(String key) {
            this.key = key;
        }
    }

    /** Key of the sentence that says so, in which {@link #times()} is filled. */
    public String words() {
        return "sketch.follows." + moves.key + (times == 1 ? ".true" : "");
    }

    /**
     * Contribution of a place.
     *
     * @param each degrees or drawing units for one mm or degree that is written
     * @param plumb what is written there at plumb: the rest counts; 0 where the figure itself does
     */
    public record Term(String place, double each, int plumb) {
        public static Term of(String place, double each) {
            return new Term(place, each, 0);
        }
    }

    public Follow {
        terms = List.copyOf(terms);
    }

    /** Turns about a point. */
    public static Follow turning(
            String id, double x, double y, double drawn, double most, int times, List<Term> terms) {
        return new Follow(id, x, y, 0, 0, terms, drawn, most, Moves.TURNS, times, null);
    }

    /** Leans about a point. */
    public static Follow leaning(
            String id, double x, double y, double drawn, double most, int times, List<Term> terms) {
        return new Follow(id, x, y, 0, 0, terms, drawn, most, Moves.LEANS, times, null);
    }

    /** Shifts along the paper. */
    public static Follow shifting(
            String id, double shiftX, double shiftY, double drawn, double most, int times, List<Term> terms) {
        return new Follow(id, 0, 0, shiftX, shiftY, terms, drawn, most, Moves.SHIFTS, times, null);
    }

    /** The same, where an option is chosen. */
    public Follow when(String chosen) {
        return new Follow(id, x, y, shiftX, shiftY, terms, drawn, most, moves, times, chosen);
    }

    /** Returns the text that the script reads. */
    String said() {
        StringBuilder said = new StringBuilder(id);
        for (double number : new double[] {x, y, shiftX, shiftY, drawn, most}) {
            said.append(' ').append(Math.rint(100 * number) / 100);
        }
        said.append(' ').append(option == null ? "-" : option);
        terms.forEach(t -> said.append(' ')
                .append(t.place())
                .append(':')
                .append((float) t.each())
                .append(':')
                .append(t.plumb()));
        return said.toString();
    }
}
