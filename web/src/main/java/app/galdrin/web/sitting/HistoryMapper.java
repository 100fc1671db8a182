package app.galdrin.web.sitting;

import app.galdrin.web.bay.StandingCause;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** States of a vehicle that known moves join, and the sheets that read them. */
@Mapper
interface HistoryMapper {

    /**
     * State with the way that led to it.
     *
     * @param before the state that it came from, or has the setting of; null where no moves are known
     * @param sittingId the sheet whose round made it
     */
    record StateRow(
            UUID id,
            UUID vehicleId,
            @Nullable UUID before,
            StandingCause madeBy,
            @Nullable UUID sittingId,
            int round) {}

    /** The states that known moves join to some, these among them. */
    List<StateRow> joined(UUID centreId, Collection<UUID> states, int most);

    /**
     * Sheet that reads a state.
     *
     * @param round the round whose lines hold the readings; 0 as found
     * @param until its last entry there, where it went on at another vehicle; 0 for one that did not
     */
    record ReaderRow(UUID sittingId, UUID stateId, int round, int until) {}

    /** Sheet and floor with which a sitting was read before it went on at another vehicle. */
    record EarlierRow(UUID sheetId, @Nullable FloorRow floor) {}

    /** Returns where a sitting was until an entry. */
    EarlierRow earlier(UUID centreId, UUID sittingId, int until);

    /** The states that have the setting of one: itself, and those that were put back to it. */
    List<UUID> ofSetting(UUID centreId, UUID settingId, int most);

    /** The sheets that read some states, those handed in last behind; {@code alsoOpen} with those that were not handed in. */
    List<ReaderRow> readers(UUID centreId, Collection<UUID> states, boolean alsoOpen, int most);
}
