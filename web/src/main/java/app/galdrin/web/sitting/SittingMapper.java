package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.account.Role;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.task.TaskBay;
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
            @Nullable Facing facing,
            int attempt);

    void beginReference(@Param("s") NewReference reference);

    /** A reference to be begun. */
    record NewReference(
            UUID id,
            UUID centreId,
            UUID taskId,
            UUID personId,
            UUID sheetId,
            UUID stateId,
            int readsRound,
            @Nullable Facing facing,
            int attempt) {}

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

    /** The reference of a state itself, on the lines of a round; 0 as found. */
    Optional<UUID> reference(UUID centreId, UUID taskId, UUID stateId, int round, int attempt);

    /** The reference as found of a state, or of its setting where nothing is read of the state itself. */
    Optional<FoundReference> referenceOfSetting(UUID centreId, UUID taskId, UUID stateId);

    Optional<UUID> stateAfter(UUID centreId, UUID sittingId, int round);

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

    List<UUID> handedInOf(UUID centreId, UUID taskId, UUID settingId, int most);

    List<SittingSummary> toReadAgain(UUID centreId, int most);

    List<SittingSummary> released(UUID centreId, int most);

    /** Sittings whose rounds moved a vehicle after a time, the earliest first. */
    List<Mover> moversSince(UUID centreId, UUID vehicleId, Instant since, int most);

    /** Sitting that moved a vehicle; null once the data of its person is erased. */
    record Mover(@Nullable UUID sittingId, Instant firstAt) {}

    Optional<UUID> leftBy(UUID centreId, UUID sittingId);

    void goOnWith(UUID centreId, UUID sittingId, UUID stateId);

    void moveTo(UUID centreId, UUID sittingId, @Param("place") TaskBay place);

    /** Keeps where a sheet is, before it is moved on; {@code seq} is its last entry there. */
    void insertEarlier(UUID centreId, UUID sittingId, int seq, @Nullable Integer bay, @Nullable Instant baySince);

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
