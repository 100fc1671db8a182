package app.galdrin.web.task.internal;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Tasks while they are composed, each of one person. */
@Mapper
interface DraftMapper {

    void insert(UUID centreId, UUID id, UUID personId, @Nullable UUID beforeId);

    /** Lets one press at a time change a draft; empty where the person has no such draft. */
    Optional<UUID> lock(UUID centreId, UUID id, UUID personId);

    /** The newest state. */
    Optional<DraftRow> newest(UUID centreId, UUID id, UUID personId);

    /** An earlier state. */
    Optional<DraftRow> state(UUID centreId, UUID id, int number);

    /** Returns whether a press was taken already. */
    boolean pressed(UUID centreId, UUID id, UUID press);

    void insertState(
            UUID centreId,
            UUID id,
            int number,
            UUID press,
            UUID sheetId,
            UUID classId,
            String document,
            @Nullable Integer undo,
            @Nullable Integer redo);

    void touch(UUID centreId, UUID id);

    /** Drops the states before a number. */
    void dropBefore(UUID centreId, UUID id, int number);

    int drop(UUID centreId, UUID id, UUID personId);

    /** Drops all but so many of a person's drafts, the oldest first, and those nobody has touched for so many days. */
    void dropOld(UUID centreId, UUID personId, int most, int days);

    /** The newest state of each of a person's drafts, the one changed last first. */
    List<OpenDraftRow> open(UUID centreId, UUID personId, int most);

    /** The draft of a next version that a person has begun. */
    Optional<UUID> ofNextVersion(UUID centreId, UUID personId, UUID beforeId);

    /** A draft that can be gone on with. */
    record OpenDraftRow(UUID id, String document, boolean nextVersion, Instant changedAt) {}
}
