package app.galdrin.web.remark;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One re-marking.
 *
 * @param taskId the version by whose scheme it marks
 * @param sheetId the sheet it marks on, where it is another than each was marked on
 * @param done of {@code total} sittings
 * @param changed sheets whose marks come out otherwise
 * @param stopped whether nothing has moved for a minute, as when a server was stopped
 */
public record Remark(
        UUID id,
        UUID centreId,
        UUID taskId,
        @Nullable UUID sheetId,
        String reason,
        RemarkState state,
        int total,
        int done,
        int changed,
        String madeBy,
        Instant madeAt,
        boolean stopped,
        @Nullable Instant appliedAt) {}
