package app.galdrin.core.procedure;

import java.util.Map;

/**
 * Forward model of a procedure's kind: the readings on a vehicle in a known state, place by place. {@link InstrumentSetup} adds hands and
 * instruments.
 */
public interface Simulation {

    /**
     * One laying of the instruments: the set-up is made again and stays for the repeats that are read of it.
     */
    Laying lay(Truth truth, MeasuringContext standing, Hands hands);

    /** The instruments as they lie. */
    interface Laying {
        /** Returns what stands there, mm or deg by place, with signs; again for each repeat, because nobody turns a wheel twice alike. */
        Map<String, Double> shows();
    }
}
