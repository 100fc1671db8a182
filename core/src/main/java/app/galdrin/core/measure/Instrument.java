package app.galdrin.core.measure;

import java.util.random.RandomGenerator;

/**
 * Instrument of a forward model: it turns a true value into the figure written down.
 *
 * @param resolution smallest step the person reads, in the reading's unit, 0 or more; 0: not rounded
 * @param scatter standard deviation of a reading before it is rounded, same unit, 0 or more, normally distributed
 */
public record Instrument(double resolution, double scatter) {

    /** An instrument without scatter or steps. */
    public static final Instrument PERFECT = new Instrument(0, 0);

    public Instrument {
        if (resolution < 0 || scatter < 0) {
            throw new IllegalArgumentException(
                    "resolution (" + resolution + ") and scatter (" + scatter + ") must be 0 or more");
        }
    }

    /**
     * The figure read off, in the unit of the instrument, mm or rad; the generator is asked once a reading, so a seed gives the
     * same readings again.
     *
     * @param trueValue in the unit of the instrument, mm or rad
     */
    public double read(double trueValue, RandomGenerator noise) {
        double scattered = trueValue + scatter * noise.nextGaussian();
        return resolution == 0 ? scattered : Math.rint(scattered / resolution) * resolution;
    }
}
