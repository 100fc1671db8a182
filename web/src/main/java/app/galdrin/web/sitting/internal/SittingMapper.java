package app.galdrin.web.sitting.internal;

import app.galdrin.web.sitting.SittingSummary;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Slot;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Sittings and entries. */
@Mapper
public interface SittingMapper {

    void begin(UUID id, UUID centreId, UUID taskId, UUID openingId, UUID personId, @Nullable Integer bay);

    UUID inOpening(UUID centreId, UUID openingId, UUID personId);

    List<UUID> peopleIn(UUID centreId, UUID openingId, int most);

    void beginReference(UUID id, UUID centreId, UUID taskId, UUID personId, String purpose, @Nullable UUID ofSittingId);

    Optional<UUID> referenceAsFound(UUID centreId, UUID taskId);

    Optional<UUID> referenceAsLeft(UUID centreId, UUID sittingId);

    @Nullable
    SittingRow sitting(UUID centreId, UUID sittingId);

    List<EntryRow> entries(UUID centreId, UUID sittingId, int most);

    List<SittingSummary> ofPerson(UUID centreId, UUID personId, @Nullable UUID openingId, int most);

    List<SittingSummary> ofTask(UUID centreId, UUID taskId, int most);

    List<SittingSummary> handedIn(UUID centreId, int most);

    /** Locks the sitting's row until the transaction ends, so that entries of one sitting come one after another. */
    LockedRow lock(UUID centreId, UUID sittingId);

    Optional<EntryRow> byKey(UUID centreId, UUID sittingId, String key);

    Optional<EntryRow> standing(UUID centreId, UUID sittingId, @Param("slot") Slot slot);

    void insert(
            UUID id,
            UUID centreId,
            UUID sittingId,
            int seq,
            UUID personId,
            @Param("line") Sittings.Line line,
            @Nullable Double value,
            @Nullable Double step,
            @Nullable UUID strikes);
}
