package app.galdrin.core.marking;

/**
 * What to do with one track rod.
 *
 * @param turns positive lengthens it, negative shortens it, 0 leaves it
 */
public record RodMove(double turns) {

    /** Smaller moves than this are not made: an eighth of a turn. */
    public static final double LEAST = 0.125;

    public static final RodMove LEAVE = new RodMove(0);

    /** +1 lengthen, −1 shorten, 0 leave. */
    public int direction() {
        return Math.abs(turns) < LEAST ? 0 : (int) Math.signum(turns);
    }
}
