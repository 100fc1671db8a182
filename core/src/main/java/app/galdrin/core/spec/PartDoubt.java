package app.galdrin.core.spec;

import app.galdrin.core.figure.FigureId;

/**
 * Doubt about where a part stands.
 *
 * @param units standard uncertainty of its position, in its unit, 0 or more
 */
public record PartDoubt(Adjuster part, double units) {

    /** Variance of a position that is set to the nearest step, in squared steps: as likely anywhere within one step. */
    private static final double ONE_STEP = 1.0 / 12;

    /** A part is counted on its way out and on its way back. */
    private static final int BOTH_WAYS = 2;

    /**
     * Returns the doubt of a part that was moved and put back by counting. Its effect a unit falls out: it was the same both ways. However
     * often it was put back, it counts once: each time the part went back to the position it was marked at.
     */
    public static PartDoubt ofReturn(Adjuster part) {
        return new PartDoubt(part, part.smallestStep() * Math.sqrt(BOTH_WAYS * ONE_STEP));
    }

    /** Returns the doubt of a part that was moved once, to the nearest step. */
    public static PartDoubt ofOneMove(Adjuster part) {
        return new PartDoubt(part, part.smallestStep() * Math.sqrt(ONE_STEP));
    }

    /** Returns what it does to a figure, rad or mm with its sign; 0 where the sheet does not say how far the part moves it. */
    public double in(FigureId figure) {
        return part.knownChangePerUnit(figure) * units;
    }
}
