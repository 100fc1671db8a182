package app.galdrin.web.bay;

import app.galdrin.core.spec.Stance;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Standings of vehicles, and the states they are in. */
@Mapper
interface StandingMapper {
    /** Holds a vehicle until the transaction ends: two changes at one instant come one after the other. */
    boolean lock(UUID centreId, UUID vehicleId);

    /** Holds all bays of a centre until the transaction ends: one vehicle stands in each. */
    boolean lockBays(UUID centreId);

    Optional<VehicleStanding> newest(UUID centreId, UUID vehicleId);

    /** The newest of every vehicle that stands somewhere. */
    List<VehicleStanding> all(UUID centreId, int most);

    /** The newest of some vehicles. */
    List<VehicleStanding> ofVehicles(UUID centreId, List<UUID> vehicles);

    /** The change that first made a state. */
    Optional<VehicleStanding> firstOf(UUID centreId, UUID stateId);

    /** The last change that gave the vehicle a setting. */
    Optional<VehicleStanding> lastSetting(UUID centreId, UUID vehicleId);

    /** The first change away from the setting of a state since the vehicle last had it. */
    Optional<VehicleStanding> firstAfter(UUID centreId, UUID vehicleId, UUID stateId);

    /** The changes of one vehicle, the newest first. */
    List<VehicleStanding> history(UUID centreId, UUID vehicleId, int most);

    void append(
            UUID centreId,
            UUID vehicleId,
            int seq,
            @Nullable Integer bay,
            @Nullable Facing facing,
            UUID stateId,
            StandingCause cause,
            UUID personId);

    /** None where the round has its state already. */
    int insertState(@Param("s") NewState state);

    void insertMoves(UUID centreId, UUID stateId, List<PartMove> moves);

    List<PartMove> moves(UUID centreId, UUID stateId, int most);

    /** Ids of the parts that were put back between two states of one setting. */
    List<String> partsPutBack(UUID centreId, UUID oneStateId, UUID otherStateId, int most);

    List<OpenSitting> openOn(UUID centreId, UUID vehicleId, int most);

    /** The sheets that were begun on a vehicle since a time, the first first. */
    List<DaySitting> begunSince(UUID centreId, UUID vehicleId, Instant since, int most);

    /** A state to be written; what it does not have is null. */
    record NewState(
            UUID id,
            UUID centreId,
            UUID vehicleId,
            StandingCause madeBy,
            @Nullable UUID priorId,
            @Nullable UUID settingId,
            @Nullable UUID sittingId,
            int round,
            UUID personId,
            @Nullable String note,
            @Nullable Double rideHeight,
            @Nullable Double loadKg) {}

    /** Stance of a state; null where nobody said. */
    record StanceRow(@Nullable Double rideHeight, @Nullable Double loadKg) {
        Stance stance() {
            return VehicleStanding.stance(rideHeight, loadKg);
        }
    }

    Optional<StanceRow> stance(UUID centreId, UUID stateId);
}
