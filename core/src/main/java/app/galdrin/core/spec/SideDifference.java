package app.galdrin.core.spec;

/**
 * Limit of the side difference, left less right, rad or mm.
 *
 * @param intended what left less right is meant to be, rad or mm: 0 unless the maker wants one side to differ, as for the road's crown
 * @param most greatest departure from it either way, rad or mm, 0 or more
 */
public record SideDifference(double intended, double most) {

    public SideDifference {
        if (!(most >= 0)) {
            throw new IllegalArgumentException(
                    "side difference: most (" + most + ") must be 0 or more, it goes both ways");
        }
    }

    /**
     * None is meant; rad or mm, 0 or more.
     *
     * @param most rad or mm, 0 or more
     */
    public static SideDifference atMost(double most) {
        return new SideDifference(0, most);
    }

    /** The limits of left less right, in its unit. */
    public Limits limits() {
        return Limits.of(intended - most, intended, intended + most);
    }
}
