package app.galdrin.web.personal.internal;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;

/** Reads what is held about one person, as JSON texts. */
@Mapper
interface PersonalDataMapper {

    /** Extent of an erasure: sheets sat alone, sheets shared with others, and entries on the former. */
    record Extent(int alone, int shared, int entries) {}

    Extent extent(UUID centreId, UUID personId);

    /** Returns who the person is and in which classes. */
    String about(UUID centreId, UUID personId);

    /** The person's sheets, oldest first. */
    List<UUID> sheets(UUID centreId, UUID personId, int most);

    /** One sheet: what was written on it and, once they are released, its marks. */
    String sheet(UUID centreId, UUID personId, UUID sittingId);
}
