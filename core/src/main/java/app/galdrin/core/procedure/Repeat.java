package app.galdrin.core.procedure;

import app.galdrin.core.uncertainty.DoubtSource;

/**
 * Where the readings of one repeat stand. It names them as sources of doubt so that repeats average and set-ups do not.
 *
 * @param step id of the step
 * @param round 0 as found, then by rounds of adjusting
 * @param number of the repeat, from 1
 */
public record Repeat(String step, int round, int number) {

    /** Returns the reading at a place as a source of doubt. */
    public DoubtSource source(Place place) {
        return DoubtSource.reading(
                step + "/" + place.id() + "/" + (place.eachRepeat() ? number : 0) + "/" + round, place.tool());
    }
}
