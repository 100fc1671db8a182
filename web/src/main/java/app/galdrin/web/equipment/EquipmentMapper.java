package app.galdrin.web.equipment;

import app.galdrin.core.equipment.WorkshopCheck;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Equipment, its revisions and checks, and what sittings were read with. */
@Mapper
interface EquipmentMapper {

    /** A piece's name and the revision that holds now. */
    record NamedRevision(String name, PieceRevision revision) {}

    /** The pieces of a centre, by kind and name. */
    List<NamedRevision> pieces(UUID centreId, int most);

    /** The revisions with these ids. */
    List<PieceRevision> revisions(UUID centreId, @Param("ids") List<UUID> ids);

    /** All revisions of a piece, the newest first. */
    List<PieceRevision> history(UUID centreId, UUID equipmentId, int most);

    /** The checks of a piece, the newest first. */
    List<PieceCheck> checks(UUID centreId, UUID equipmentId, int most);

    /** None where there is one of that kind and name. */
    int add(UUID centreId, UUID id, String kind, String name);

    void revise(UUID centreId, UUID equipmentId, UUID id, UUID personId, @Param("r") NewRevision revision);

    void check(
            UUID centreId,
            UUID equipmentId,
            UUID id,
            UUID personId,
            WorkshopCheck kind,
            double first,
            double second,
            LocalDate doneOn);

    PastDue pastDue(UUID centreId);

    void setPastDue(UUID centreId, PastDue rule);

    /** Chooses for a sitting that begins, of each kind the piece in date that was used last in its bay, else the first by name. */
    void pin(UUID centreId, UUID sittingId, UUID personId, @Nullable Integer bay, @Param("kinds") List<String> kinds);

    /** Another piece for a sitting from now on. */
    void choose(UUID centreId, UUID sittingId, UUID personId, UUID equipmentId, String kind, UUID revisionId);

    /** The revisions a sitting was read with, one of a kind. */
    List<UUID> ofSitting(UUID centreId, UUID sittingId);

    /** The sittings that a piece was used in from a day on: practicals first, the newest first. */
    List<UUID> usedIn(UUID centreId, UUID equipmentId, LocalDate since, int most);
}
