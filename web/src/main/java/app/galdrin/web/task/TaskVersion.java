package app.galdrin.web.task;

import app.galdrin.core.task.ToeTask;
import app.galdrin.web.library.SheetVersion;
import java.time.Instant;
import java.util.UUID;

/** A task as it was set; never changed, since sittings are pinned to it. */
public record TaskVersion(
        UUID id,
        UUID centreId,
        String title,
        SheetVersion sheet,
        UUID classId,
        String className,
        ToeTask toe,
        Mode mode,
        OutcomeSchool outcome,
        Instant createdAt) {}
