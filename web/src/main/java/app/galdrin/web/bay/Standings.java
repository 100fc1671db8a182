package app.galdrin.web.bay;

import app.galdrin.core.spec.Stance;
import app.galdrin.web.bay.StandingMapper.NewState;
import app.galdrin.web.layout.Ids;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Standings of vehicles: where each stands and in which state it is, whatever task it is used in. Changes are added, never overwritten. Whoever changes
 * a vehicle holds it first, so that two changes at one instant come one after the other and the second sees the first.
 */
@Service
public class Standings {

    /** More vehicles than a centre's list shows. */
    private static final int MOST_VEHICLES = 200;

    private static final int MOST_OPEN = 200;
    private static final int MOST_PARTS = 100;
    private static final int MOST_CHANGES = 100;

    private final StandingMapper mapper;

    Standings(StandingMapper mapper) {
        this.mapper = mapper;
    }

    // ---- reading

    /** Returns where a vehicle stands now; empty for one that nobody has used yet. */
    public Optional<VehicleStanding> find(UUID centreId, UUID vehicleId) {
        return mapper.newest(centreId, vehicleId);
    }

    /** Returns where some vehicles stand now, by vehicle; those that nobody has used yet are left out. */
    public Map<UUID, VehicleStanding> of(UUID centreId, List<UUID> vehicleIds) {
        return vehicleIds.isEmpty()
                ? Map.of()
                : mapper.ofVehicles(centreId, vehicleIds).stream()
                        .collect(Collectors.toMap(VehicleStanding::vehicleId, Function.identity()));
    }

    /** Every vehicle that has been used, those in bays first, by bay. */
    public List<VehicleStanding> all(UUID centreId) {
        return mapper.all(centreId, MOST_VEHICLES);
    }

    /** The changes of a vehicle, the newest first. */
    public List<VehicleStanding> history(UUID centreId, UUID vehicleId) {
        return mapper.history(centreId, vehicleId, MOST_CHANGES);
    }

    /** The change that made a state; empty for a round that came in after others had moved the vehicle on. */
    public Optional<VehicleStanding> madeBy(UUID centreId, UUID stateId) {
        return mapper.firstOf(centreId, stateId);
    }

    /** The change that set the vehicle before it was adjusted: what its moves are counted from. */
    public Optional<VehicleStanding> setting(UUID centreId, UUID vehicleId) {
        return mapper.lastSetting(centreId, vehicleId);
    }

    /** The first change that took a vehicle away from a state and its setting; empty while it still has that setting. */
    public Optional<VehicleStanding> changeAfter(UUID centreId, UUID vehicleId, UUID stateId) {
        return mapper.firstAfter(centreId, vehicleId, stateId);
    }

    /** Ids of the parts that were moved and put back between two states of one setting; none where the settings differ. */
    public List<String> partsPutBack(UUID centreId, UUID oneStateId, UUID otherStateId) {
        return oneStateId.equals(otherStateId)
                ? List.of()
                : mapper.partsPutBack(centreId, oneStateId, otherStateId, MOST_PARTS);
    }

    /** Returns what was moved to set a state, or turned back for it; empty where nobody wrote it. */
    public List<PartMove> moves(UUID centreId, UUID stateId) {
        return mapper.moves(centreId, stateId, MOST_PARTS);
    }

    /** The sheets that are open on a vehicle, whatever their task. */
    public List<OpenSitting> openOn(UUID centreId, UUID vehicleId) {
        return mapper.openOn(centreId, vehicleId, MOST_OPEN);
    }

    /** The sheets that were begun on a vehicle since a time, the first first, whatever their task. */
    public List<DaySitting> begunSince(UUID centreId, UUID vehicleId, Instant since) {
        return mapper.begunSince(centreId, vehicleId, since, MOST_OPEN);
    }

    // ---- changing

    /** Holds a vehicle until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void hold(UUID centreId, UUID vehicleId) {
        mapper.lock(centreId, vehicleId);
    }

    /** Returns where a vehicle stands; one that nobody has used yet is in no bay, as it came. */
    @Transactional
    public VehicleStanding stand(UUID centreId, UUID personId, UUID vehicleId) {
        mapper.lock(centreId, vehicleId);
        return mapper.newest(centreId, vehicleId).orElseGet(() -> {
            UUID state = state(centreId, vehicleId, StandingCause.PRESET, null, null, personId, null, Stance.ANY);
            mapper.append(centreId, vehicleId, 1, null, null, state, StandingCause.PRESET, personId);
            return mapper.newest(centreId, vehicleId).orElseThrow();
        });
    }

    /** Gives a vehicle a new setting where it stands: nothing that was read before says anything of it. */
    @Transactional
    public VehicleStanding set(
            UUID centreId, UUID personId, UUID vehicleId, StandingCause cause, @Nullable String note) {
        return set(centreId, personId, vehicleId, cause, note, List.of(), Stance.ANY);
    }

    /** The same by moves that are known, from the state that the vehicle was in, and how it stands on its springs now. */
    @Transactional
    public VehicleStanding set(
            UUID centreId,
            UUID personId,
            UUID vehicleId,
            StandingCause cause,
            @Nullable String note,
            List<PartMove> moves,
            Stance stance) {
        VehicleStanding before = stand(centreId, personId, vehicleId);
        UUID state = state(centreId, vehicleId, cause, before.stateId(), null, personId, note, stance);
        keep(centreId, state, moves);
        return append(centreId, before, state, cause, personId);
    }

    /** Puts a vehicle back to the setting it had before it was adjusted; {@code moves} is what was turned back. */
    @Transactional
    public VehicleStanding putBack(UUID centreId, UUID personId, UUID vehicleId, List<PartMove> moves) {
        VehicleStanding before = stand(centreId, personId, vehicleId);
        UUID setting = mapper.lastSetting(centreId, vehicleId).orElseThrow().settingId();
        UUID state = state(
                centreId,
                vehicleId,
                StandingCause.PUT_BACK,
                before.stateId(),
                setting,
                personId,
                null,
                stance(centreId, setting));
        keep(centreId, state, moves);
        return append(centreId, before, state, StandingCause.PUT_BACK, personId);
    }

    /** Records the word of an instructor that a vehicle is used as it was left. */
    @Transactional
    public VehicleStanding lend(UUID centreId, UUID personId, UUID vehicleId) {
        VehicleStanding before = stand(centreId, personId, vehicleId);
        return append(centreId, before, before.stateId(), StandingCause.LENT, personId);
    }

    /**
     * Makes the state in which a round leaves a vehicle. The vehicle is in it, if it was in the state that the round began on; a round that
     * comes in after others have moved the vehicle on has its state, and moves nothing.
     */
    @Transactional
    public void round(UUID centreId, UUID personId, UUID vehicleId, UUID priorId, UUID sittingId, int round) {
        VehicleStanding before = stand(centreId, personId, vehicleId);
        UUID id = Ids.next();
        Stance stance = stance(centreId, priorId);
        int made = mapper.insertState(new NewState(
                id,
                centreId,
                vehicleId,
                StandingCause.ROUND,
                priorId,
                null,
                sittingId,
                round,
                personId,
                null,
                orNull(stance.rideHeight()),
                orNull(stance.load())));
        boolean isThere = mapper.firstAfter(centreId, vehicleId, priorId).isEmpty();
        if (made > 0 && isThere) {
            append(centreId, before, id, StandingCause.ROUND, personId);
        }
    }

    /**
     * Moves a vehicle to a bay, or out of all of them; its state stays.
     *
     * @param bay its number; empty to move it out of the bays
     * @param facing used where there is a bay
     * @return the vehicle that stands in that bay; empty where the bay was free and the vehicle is there now
     */
    @Transactional
    public Optional<UUID> place(UUID centreId, UUID personId, UUID vehicleId, OptionalInt bay, Facing facing) {
        mapper.lockBays(centreId);
        VehicleStanding before = stand(centreId, personId, vehicleId);
        Integer number = bay.isPresent() ? bay.getAsInt() : null;
        Optional<UUID> other = all(centreId).stream()
                .filter(s -> number != null
                        && number.equals(s.bay())
                        && !s.vehicleId().equals(vehicleId))
                .map(VehicleStanding::vehicleId)
                .findFirst();
        Facing way = number == null ? null : facing;
        boolean isThere = Objects.equals(number, before.bay()) && way == before.facing();
        if (other.isEmpty() && !isThere) {
            mapper.append(
                    centreId,
                    vehicleId,
                    before.seq() + 1,
                    number,
                    way,
                    before.stateId(),
                    StandingCause.PLACED,
                    personId);
        }
        return other;
    }

    private void keep(UUID centreId, UUID state, List<PartMove> moves) {
        if (!moves.isEmpty()) {
            mapper.insertMoves(centreId, state, moves);
        }
    }

    private UUID state(
            UUID centreId,
            UUID vehicleId,
            StandingCause cause,
            @Nullable UUID prior,
            @Nullable UUID setting,
            UUID personId,
            @Nullable String note,
            Stance stance) {
        UUID id = Ids.next();
        mapper.insertState(new NewState(
                id,
                centreId,
                vehicleId,
                cause,
                prior,
                setting,
                null,
                0,
                personId,
                note,
                orNull(stance.rideHeight()),
                orNull(stance.load())));
        return id;
    }

    private static @Nullable Double orNull(OptionalDouble stated) {
        return stated.isPresent() ? stated.getAsDouble() : null;
    }

    /** Returns how a vehicle stands on its springs in a state: adjusting and putting back leave that as it is. */
    public Stance stance(UUID centreId, UUID stateId) {
        return mapper.stance(centreId, stateId)
                .map(StandingMapper.StanceRow::stance)
                .orElse(Stance.ANY);
    }

    private VehicleStanding append(
            UUID centreId, VehicleStanding before, UUID state, StandingCause cause, UUID personId) {
        mapper.append(
                centreId, before.vehicleId(), before.seq() + 1, before.bay(), before.facing(), state, cause, personId);
        return mapper.newest(centreId, before.vehicleId()).orElseThrow();
    }
}
