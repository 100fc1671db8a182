package app.galdrin.core.procedure;

import java.util.Map;
import java.util.random.RandomGenerator;

/** What trained hands read of a vehicle in a known state: the forward model of a procedure's kind, place by place. */
public interface Simulation {

    /**
     * One laying of the instruments: the set-up is made anew and stays for the repeats that are read of it.
     *
     * @param handling factor on the scatter of trained hands, 0 or more; 0 also rounds nothing
     */
    Laying lay(Truth truth, Standing standing, double handling, RandomGenerator random);

    /** The instruments as they lie. */
    interface Laying {
        /** One repeat: mm or deg by place, with signs. */
        Map<String, Double> read();
    }
}
