package app.galdrin.core.record;

/**
 * The legal numbers of a field, in the record's unit (mm, deg); both ends belong to it unless said.
 *
 * @param lowest least legal number, in the unit of the field
 * @param highest greatest legal number, in the unit of the field
 * @param lowestExcluded whether the least number itself is illegal
 * @param leastSize numbers nearer to zero than this are illegal, in the unit of the field; 0 where zero is legal
 */
public record Range(double lowest, double highest, boolean lowestExcluded, double leastSize) {

    /** Every number: figures of a result. */
    public static final Range ALL = closed(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);

    /** Lengths, distances, pitches and radii. */
    public static final Range LENGTH = closed(1e-6, 1e6);

    /** Gaps and distances that may be nothing. */
    public static final Range GAP = closed(0, 1e6);

    /** Lengths with a sign. */
    public static final Range OFFSET = closed(-1e6, 1e6);

    /** Toe of any kind, line skew, thrust angle. */
    public static final Range TOE = closed(-30, 30);

    /** Camber as read or worked. */
    public static final Range CAMBER = closed(-20, 20);

    /** Slope of the floor under the vehicle. */
    public static final Range FLOOR = closed(-10, 10);

    /** Steering-axis angles and slopes read with a protractor. */
    public static final Range AXIS = closed(-45, 45);

    /** Steer of a wheel. */
    public static final Range STEER = closed(-60, 60);

    /** Standard uncertainties. */
    public static final Range UNCERTAINTY = closed(0, 1e6);

    /** Any other number. */
    public static final Range NUMBER = closed(-1e9, 1e9);

    /**
     * Returns the range with both its ends, in the unit of the field, mm or deg.
     *
     * @param lowest in the unit of the field
     * @param highest in the unit of the field
     */
    public static Range closed(double lowest, double highest) {
        return new Range(lowest, highest, false, 0);
    }

    /**
     * The lowest is not in it; in the unit of the field, mm or deg.
     *
     * @param lowest in the unit of the field
     * @param highest in the unit of the field
     */
    public static Range openBelow(double lowest, double highest) {
        return new Range(lowest, highest, true, 0);
    }

    /**
     * Returns the range from −highest to highest in the unit of the field, but not nearer to zero than {@code leastSize}.
     *
     * @param leastSize in the unit of the field, above 0
     * @param highest in the unit of the field, above 0
     */
    public static Range sized(double leastSize, double highest) {
        return new Range(-highest, highest, false, leastSize);
    }

    /**
     * Returns whether a number, in the unit of the field, is in it.
     *
     * @param number in the unit of the field
     */
    public boolean contains(double number) {
        return (lowestExcluded ? number > lowest : number >= lowest)
                && number <= highest
                && Math.abs(number) >= leastSize;
    }
}
