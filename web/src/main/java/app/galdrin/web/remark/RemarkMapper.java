package app.galdrin.web.remark;

import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.task.Aspect;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.FloorRow;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.cursor.Cursor;
import org.jspecify.annotations.Nullable;

/** Re-marking: what is read for it in one go, and what came of it. */
@Mapper
interface RemarkMapper {

    /**
     * Sittings that are re-marked.
     *
     * @param taskIds versions of the practical that they were sat under
     * @param vehicleId of which they have to be; null where it does not matter
     */
    record Concerned(
            UUID centreId, List<UUID> taskIds, @Nullable UUID vehicleId) {}

    /**
     * A sitting with the sheet that was stored last for one of its people.
     *
     * @param released whether no more will be read: what stood then decides
     * @param along as in {@link FloorRow}, and so the three that follow
     * @param equipment the revisions of what it was read with, with blanks between
     * @param marks of that sheet's lines: {@code step.aspect=marks}, in their order, with blanks between
     */
    record StoredSheetRow(
            UUID sittingId,
            UUID taskId,
            UUID sheetId,
            UUID stateId,
            Instant begunAt,
            @Nullable Integer bay,
            @Nullable Instant baySince,
            @Nullable Double along,
            @Nullable Double across,
            @Nullable Double doubt,
            @Nullable Facing faces,
            int extraMinutes,
            UUID personId,
            int number,
            BigDecimal total,
            BigDecimal percent,
            boolean competent,
            boolean released,
            String marks,
            String equipment) {

        List<UUID> revisions() {
            return equipment.isEmpty()
                    ? List.of()
                    : Stream.of(equipment.split(" ")).map(UUID::fromString).toList();
        }

        Optional<BayFloor> floor() {
            return new FloorRow(bay, baySince, along, across, doubt, faces).floor();
        }
    }

    /**
     * An entry of a sitting, or of a reference of the state that a round of it made.
     *
     * @param round 0 for what the sitting itself holds
     * @param attempt which reference of that state
     * @param inSitting in whose log it stands
     */
    record SittingEntry(UUID sittingId, int round, int attempt, UUID inSitting, Entry entry) {}

    Cursor<StoredSheetRow> stored(@Param("c") Concerned concerned);

    Cursor<SittingEntry> entries(@Param("c") Concerned concerned);

    Cursor<SittingEntry> left(@Param("c") Concerned concerned);

    /** Returns how many sittings there are, and how many of them have sheets. */
    int count(@Param("c") Concerned concerned);

    // ---- one re-marking

    /** Begins one; 0 where another by this version is being worked out. */
    int insert(UUID id, UUID centreId, UUID taskId, @Nullable UUID sheetId, String reason, int total, UUID personId);

    /** The one of the centre that is being worked out. */
    Optional<UUID> atWork(UUID centreId);

    /** Ends one that has not moved for so long, as when a server was stopped. */
    void failStopped(UUID centreId, int seconds);

    /** Waits until no other of this centre is being applied; kept until the transaction ends. */
    boolean lockCentre(UUID centreId);

    Optional<Remark> remark(UUID centreId, UUID id);

    List<Remark> ofTask(UUID centreId, UUID taskId, int most);

    /** Moves it on; 0 where it is not in the state from which it goes there. */
    int to(UUID centreId, UUID id, RemarkState from, RemarkState to);

    /** Tells how far it is; 0 where it was stopped. */
    int progress(UUID centreId, UUID id, RemarkState state, int done, int changed);

    /** Throws away what was laid down. */
    void clearSheets(UUID centreId, UUID id);

    void clearLines(UUID centreId, UUID id);

    /** Sittings, or references of theirs, in which something was written since they were re-marked. */
    int stale(UUID centreId, UUID id);

    /** The last sitting of the next so many that were re-marked; empty behind the last. */
    Optional<UUID> upTo(UUID centreId, UUID id, @Nullable UUID after, int most);

    int applySheets(UUID centreId, UUID id, @Nullable UUID after, UUID upTo, UUID personId);

    void applyLines(UUID centreId, UUID id, @Nullable UUID after, UUID upTo);

    void applyMarkedBy(UUID centreId, UUID id, @Nullable UUID after, UUID upTo);

    // ---- what would change

    List<MarkChange> changed(UUID centreId, UUID id, int from, int most);

    /** The lines that differ, of some sittings. */
    List<ChangedLine> changedLines(UUID centreId, UUID id, @Param("sittings") List<UUID> sittings);

    /** A line of someone's sheet before and after. */
    record ChangedLine(
            UUID sittingId,
            UUID personId,
            String step,
            Aspect aspect,
            @Nullable BigDecimal before,
            @Nullable BigDecimal after,
            int available) {}
}
