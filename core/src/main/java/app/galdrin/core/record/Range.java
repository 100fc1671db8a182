package app.galdrin.core.record;

/**
 * The legal numbers of a field, in the record's unit (mm, deg); both ends belong to it unless said.
 *
 * @param lowest least legal number
 * @param highest greatest legal number
 * @param lowestExcluded whether the least number itself is illegal
 */
public record Range(double lowest, double highest, boolean lowestExcluded) {

    /** Lengths, distances, pitches and radii. */
    public static final Range LENGTH = closed(1e-6, 1e6);

    /** Gaps and distances that may be nothing. */
    public static final Range GAP = closed(0, 1e6);

    /** Lengths with a sign. */
    public static final Range OFFSET = closed(-1e6, 1e6);

    /** Toe of any kind, line skew, thrust angle. */
    public static final Range TOE = closed(-30, 30);

    /** Standard uncertainties. */
    public static final Range UNCERTAINTY = closed(0, 1e6);

    /** Any other number. */
    public static final Range NUMBER = closed(-1e9, 1e9);

    public static Range closed(double lowest, double highest) {
        return new Range(lowest, highest, false);
    }

    public static Range openBelow(double lowest, double highest) {
        return new Range(lowest, highest, true);
    }

    public boolean contains(double number) {
        return (lowestExcluded ? number > lowest : number >= lowest) && number <= highest;
    }
}
