package app.galdrin.web.marksheet;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Stored mark sheets; only ever added to. */
@Mapper
interface MarkSheetMapper {

    /** A released sitting, with when and by whom. */
    record ReleasedSitting(UUID centreId, UUID sittingId, int releaseSeq, Instant releasedAt, UUID releasedBy) {}

    /** Returns whether a sheet was signed at this entry, by this engine and these references. */
    boolean isSignedAs(UUID centreId, UUID sittingId, int entrySeq, String engine, String referenceSeqs);

    /** The sheets with readings that a sitting was signed by, with how many entries each had; as it was stored last. */
    Optional<String> referenceSeqs(UUID centreId, UUID sittingId);

    int lastNumber(UUID centreId, UUID sittingId, UUID personId);

    void insert(@Param("m") MarkSheetRow sheet);

    void insertLines(
            UUID centreId, UUID sittingId, UUID personId, int number, @Param("lines") List<MarkSheetRow.LineRow> lines);

    /** The lines of a sheet: of the one that was stored last where no number is given. */
    List<MarkSheetRow.LineRow> lines(UUID centreId, UUID sittingId, UUID personId, @Nullable Integer number);

    List<StoredSheet> history(UUID centreId, UUID sittingId, UUID personId, int most);

    /** Returns the sittings of a person that were re-marked after their release. */
    List<UUID> remarkedOf(UUID centreId, UUID personId, int most);

    /** One instance at a time until the transaction ends. */
    boolean lockAll();

    List<ReleasedSitting> releasedWithoutSheet();
}
