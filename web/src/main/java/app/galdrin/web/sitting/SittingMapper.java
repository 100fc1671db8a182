package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.account.Role;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Sittings, entries and what is known of them. */
@Mapper
interface SittingMapper {
    /** None where the person has this attempt of the opening already. */
    int begin(
            UUID id,
            UUID centreId,
            UUID taskId,
            UUID openingId,
            UUID personId,
            UUID sheetId,
            UUID stateId,
            int attempt);

    void beginReference(UUID id, UUID centreId, UUID taskId, UUID personId, UUID sheetId, UUID stateId, int attempt);

    void addPerson(UUID centreId, UUID sittingId, UUID personId);

    void joinedFrom(UUID centreId, UUID sittingId, String browser);

    List<UUID> justJoinedFrom(UUID centreId, UUID openingId, String browser, int most);

    List<SameBrowser> sameBrowser(UUID centreId, UUID openingId, int most);

    /** {@code since} when it came into its bay; null for now. */
    void beginState(UUID centreId, UUID sittingId, Purpose purpose, @Nullable Integer bay, @Nullable Instant since);

    /** The newest attempt of a person in an opening. */
    Optional<UUID> inOpening(UUID centreId, UUID openingId, UUID personId);

    int attempts(UUID centreId, UUID openingId, UUID personId);

    List<UUID> peopleIn(UUID centreId, UUID openingId, int most);

    Optional<UUID> reference(UUID centreId, UUID taskId, UUID stateId, int attempt);

    Optional<UUID> stateAfter(UUID centreId, UUID sittingId, int round);

    void insertRoundState(UUID id, UUID centreId, UUID priorId, UUID sittingId, int round, UUID personId);

    @Nullable
    SittingRow sitting(UUID centreId, UUID sittingId);

    /** Locks what is known of the sitting until the transaction ends, so that its entries come one after another. */
    SittingState lock(UUID centreId, UUID sittingId);

    void putState(UUID centreId, UUID sittingId, @Param("s") SittingState state);

    List<Entry> entries(UUID centreId, UUID sittingId, int most);

    List<Entry> entriesOf(UUID centreId, UUID sittingId, @Param("k") LineKey line, int most);

    List<Entry> beside(UUID centreId, UUID sittingId, @Param("k") LineKey line, String key, int most);

    int countOf(UUID centreId, UUID sittingId, @Param("k") LineKey line, Role role);

    /** Adds it, and gives it as it stands. */
    Entry insert(
            UUID centreId,
            UUID sittingId,
            int seq,
            UUID personId,
            Role role,
            @Param("e") NewEntry entry,
            String written,
            @Nullable BigDecimal value,
            @Nullable BigDecimal resolution,
            @Nullable String unit,
            boolean late,
            Instant writtenAt);

    List<SittingSummary> ofPerson(UUID centreId, UUID personId, @Nullable UUID openingId, int most);

    List<SittingSummary> ofTask(UUID centreId, UUID taskId, int most);

    List<SittingSummary> toMark(UUID centreId, int most);

    List<UUID> handedInOf(UUID centreId, UUID taskId, UUID stateId, int most);

    List<SittingSummary> toReadAgain(UUID centreId, int most);

    List<SittingSummary> released(UUID centreId, int most);

    /** Other sittings that are open on a state of a vehicle and have been begun. */
    List<UUID> openOn(UUID centreId, UUID stateId, UUID butSittingId, int most);

    /** Sittings whose rounds moved the vehicle out of a state since it was last put back, the earliest first; one is left out where it is named. */
    List<VehicleMove> movesOutOf(UUID centreId, UUID stateId, @Nullable UUID butSittingId, int most);

    default Optional<VehicleMove> movedOutOf(UUID centreId, UUID stateId, @Nullable UUID butSittingId) {
        return movesOutOf(centreId, stateId, butSittingId, 1).stream().findFirst();
    }

    Optional<UUID> leftBy(UUID centreId, UUID sittingId);

    void putBack(UUID centreId, UUID stateId, UUID personId);

    /** Holds the state of a vehicle until the transaction ends: two moves at one instant come one after the other. */
    boolean lockVehicle(UUID centreId, UUID stateId);

    void goOnWith(UUID centreId, UUID stateId, UUID newStateId);

    void moveTo(UUID centreId, UUID sittingId, UUID sheetId, UUID stateId);

    void markOn(UUID centreId, UUID sittingId, UUID sheetId);

    void givePerson(UUID centreId, UUID sittingId, UUID personId, int attempt);

    void dropPeople(UUID centreId, UUID sittingId);

    void welcome(UUID centreId, UUID sittingId, UUID personId);

    List<UUID> welcomeIn(UUID centreId, UUID openingId, int most);

    int useWelcome(UUID centreId, UUID sittingId);

    /** Records that an instructor has opened a sheet on the desk. */
    void opened(UUID centreId, UUID sittingId, UUID personId);

    boolean openedSince(UUID centreId, UUID sittingId, Instant since);

    List<UUID> page(UUID centreId, @Nullable UUID after, int most);

    List<UUID> centres();
}
