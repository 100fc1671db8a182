package app.galdrin.core.procedure;

import app.galdrin.core.measure.Instrument;
import app.galdrin.core.quantity.Quantity;
import java.util.random.RandomGenerator;

/** Hands that set an instrument up and read it, in a forward model. */
public interface Hands {

    /** Returns how far off something is set up this once, in its unit, mm or rad, with a sign. */
    double off(Source.SetUp setUp);

    /**
     * Returns what is read at a place where so much stands, mm or deg, with its sign.
     *
     * @param stands what stands at the place, mm or deg, with its sign
     */
    double read(Place place, double stands);

    /** Returns the randomness of what never happens twice alike. */
    RandomGenerator random();

    /**
     * Returns those for whom the catalogue of instruments and the procedures' set-up figures stand.
     *
     * @param handling factor on how far off they set up and how much they scatter, 0 or more; with 0 the set-up is perfect and nothing is
     *     rounded
     */
    static Hands trained(double handling, RandomGenerator random) {
        return new TrainedHands(handling, random);
    }

    /**
     * {@code handling} as above, a factor without unit.
     *
     * @param handling factor on the scatter of trained hands, 0 or more
     */
    record TrainedHands(double handling, RandomGenerator random) implements Hands {
        @Override
        public double off(Source.SetUp setUp) {
            return handling == 0 ? 0 : handling * setUp.standardUncertainty() * random.nextGaussian();
        }

        @Override
        public double read(Place place, double stands) {
            Instrument instrument = place.instrument().inHands(handling, place.surface());
            Quantity quantity = place.instrument().quantity();
            return quantity.toDocument(instrument.read(quantity.toCore(stands), random));
        }
    }
}
