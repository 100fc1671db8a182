package app.galdrin.web.task;

import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Openings; only those that are open now are ever read. */
@Mapper
interface OpeningMapper {
    @Nullable
    Opening current(UUID centreId, UUID taskId);

    @Nullable
    Opening byCode(String code);

    @Nullable
    Opening byId(UUID centreId, UUID openingId);

    void insert(UUID id, UUID centreId, UUID taskId, String code, UUID personId, int minutes);

    void close(UUID centreId, UUID taskId);

    /** Frees the codes of openings whose time is up. */
    void closeOverdue();

    int reopen(UUID centreId, UUID taskId);

    boolean canReopen(UUID centreId, UUID taskId);
}
