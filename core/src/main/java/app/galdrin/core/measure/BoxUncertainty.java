package app.galdrin.core.measure;

/**
 * Standard uncertainties of each spacing, hub gap and rim gap, mm.
 *
 * @param spacing mm, 0 or more
 * @param hubGap mm, 0 or more
 * @param gap mm, 0 or more
 */
public record BoxUncertainty(double spacing, double hubGap, double gap) {

    /** Readings taken as exact. */
    public static final BoxUncertainty NONE = new BoxUncertainty(0, 0, 0);
}
