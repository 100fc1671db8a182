package app.galdrin.core.procedure;

import app.galdrin.core.uncertainty.DoubtSource;

/**
 * The position of one repeat's readings. It names them as sources of uncertainty so that repeats average and set-ups do not.
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
