package app.galdrin.web.task.internal;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Try-outs, those that wait and what came of the others. */
@Mapper
interface TryOutMapper {

    /** A new one, which waits. */
    void insert(
            UUID centreId,
            UUID id,
            UUID personId,
            @Nullable UUID taskId,
            UUID sheetId,
            String title,
            String document,
            int total);

    Optional<TryOutRow> tryOut(UUID centreId, UUID id);

    /** The newest of a person. */
    Optional<UUID> last(UUID centreId, UUID personId);

    /** Drops what a person had waiting before: a person tries one thing out at a time. */
    void dropWaiting(UUID centreId, UUID personId);

    /** Drops try-outs that nobody comes back to. */
    void dropOld(UUID centreId, int days);

    /** Puts one that has not moved for so long, as when a server was stopped, back among those that wait. */
    void putBack(UUID centreId, int seconds);

    /**
     * Takes the one that has waited longest, where none is at work.
     *
     * @throws org.springframework.dao.DuplicateKeyException where another server has taken one in this moment
     */
    @Nullable
    UUID take(UUID centreId);

    /** 0 where it is not at work any more. */
    int progress(UUID centreId, UUID id, int done);

    /** Ends one that is at work. */
    void end(UUID centreId, UUID id, TryOutState state, @Nullable String result);
}
