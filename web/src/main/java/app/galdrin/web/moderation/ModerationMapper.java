package app.galdrin.web.moderation;

import app.galdrin.core.moderation.SelectionReason;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Samples, their sheets and decisions; only ever added to. */
@Mapper
interface ModerationMapper {

    /** A sheet as it was signed last, of those a sample can be drawn from. */
    record SignedSheetRow(UUID sittingId, UUID personId, int number, BigDecimal percent, int barring, boolean byHand) {}

    /** A sheet of a sample. */
    record SampledSheetRow(int ordinal, UUID sittingId, UUID personId, int number, SelectionReason why) {}

    List<SignedSheetRow> signed(UUID centreId, UUID taskId, int most);

    /** The newest tasks that have a signed sheet. */
    List<UUID> tasksWithSigned(UUID centreId, int most);

    /** 0 where it was drawn already. */
    int insert(UUID id, UUID centreId, UUID taskId, long seed, int percent, BigDecimal borderline, UUID personId);

    void insertSheets(UUID centreId, UUID id, @Param("sheets") List<SampledSheetRow> sheets);

    List<Moderation> list(UUID centreId, int most);

    Optional<Moderation> one(UUID centreId, UUID id);

    List<ModerationSheet> sheets(UUID centreId, UUID id, int most);

    /** 0 where it was decided already, or is no sheet of the sample. */
    int decide(
            UUID centreId,
            UUID id,
            UUID sittingId,
            UUID personId,
            ModerationDecision decision,
            String reason,
            UUID byId);
}
