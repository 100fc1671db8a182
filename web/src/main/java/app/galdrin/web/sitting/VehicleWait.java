package app.galdrin.web.sitting;

import app.galdrin.web.words.Sentence;
import java.time.Instant;

/**
 * Reason why the vehicle of a sheet cannot be read or adjusted now.
 *
 * @param cause what happened to the vehicle
 * @param names who adjusted it, or who set it
 * @param since when the vehicle was changed
 */
public record VehicleWait(Cause cause, String names, Instant since) {

    /** Cause for which a sheet waits for its vehicle. */
    public enum Cause {
        /** Use by somebody who is adjusting it and has not handed in. */
        IN_USE("sitting.vehicleInUse"),
        /** Adjustment by somebody since. */
        ADJUSTED("sitting.vehicleMoved"),
        /** Other setting by an instructor since, or return to an earlier one. */
        SET("sitting.vehicleSet");

        private final String key;

        Cause(String key) {
            this.key = key;
        }
    }

    /** Says it to the person who waits. */
    public Sentence sentence() {
        return Sentence.of(cause.key, names);
    }
}
