package app.galdrin.web.bay;

import app.galdrin.core.spec.Stance;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Standing of a vehicle from one change to the next: its bay, which way it faces and in which state it is.
 *
 * @param seq 1, and one more with each change of this vehicle
 * @param bay its number; null where the vehicle stands in none
 * @param facing null where it stands in no bay
 * @param settingId the state whose setting it has: the state itself, or the one it was put back to
 * @param stateCause how the state came about
 * @param sittingId the sitting whose round made the state; null for other states, and once the data of its person is erased
 * @param names who sat it where a round made the state, else who made the change
 * @param rideHeight mm from the hub to the wheel arch at the front; null where nobody said
 * @param loadKg what it carries, kg; null where nobody said
 * @param note how it was set, as the instructor wrote it; null where nothing was written
 */
public record VehicleStanding(
        UUID vehicleId,
        int seq,
        @Nullable Integer bay,
        @Nullable Facing facing,
        UUID stateId,
        UUID settingId,
        StandingCause cause,
        StandingCause stateCause,
        @Nullable UUID sittingId,
        String names,
        @Nullable String note,
        @Nullable Double rideHeight,
        @Nullable Double loadKg,
        Instant madeAt) {

    /** Returns how it stands on its springs. */
    public Stance stance() {
        return stance(rideHeight, loadKg);
    }

    static Stance stance(@Nullable Double rideHeight, @Nullable Double loadKg) {
        return new Stance(known(rideHeight), known(loadKg));
    }

    private static OptionalDouble known(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** Its bay; empty where it stands in none. */
    public Optional<Integer> bayNumber() {
        return Optional.ofNullable(bay);
    }

    /** Returns whether somebody has adjusted the vehicle since it was set. */
    public boolean isAdjusted() {
        return stateCause == StandingCause.ROUND;
    }

    /** Returns whether it is backed in, so that it faces the door. */
    public boolean isBackedIn() {
        return facing == Facing.DOOR;
    }
}
