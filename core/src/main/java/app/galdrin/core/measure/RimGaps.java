package app.galdrin.core.measure;

/**
 * The gaps from a straight line to the front and rear of one rim.
 *
 * @param frontGap mm, 0 or more, square to the line
 * @param rearGap mm, 0 or more, square to the line
 * @param baseline mm, positive: between the two points on the wheel
 */
public record RimGaps(double frontGap, double rearGap, double baseline) {

    /** The same wheel with the two gaps written the wrong way round. */
    public RimGaps swapped() {
        return new RimGaps(rearGap, frontGap, baseline);
    }
}
