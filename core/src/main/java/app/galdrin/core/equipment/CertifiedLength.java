package app.galdrin.core.equipment;

/**
 * Length of a piece of equipment as it was measured.
 *
 * @param value mm, above 0
 * @param standardUncertainty mm, 0 or more
 */
public record CertifiedLength(double value, double standardUncertainty) {
    public CertifiedLength {
        if (!(value > 0) || !(standardUncertainty >= 0)) {
            throw new IllegalArgumentException("length (" + value + ") must be above 0 and its uncertainty ("
                    + standardUncertainty + ") 0 or more");
        }
    }
}
