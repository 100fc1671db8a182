package app.galdrin.web.task;

import app.galdrin.core.task.Mode;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A task as a list shows it; {@code code} where it is open now. */
public record TaskSummary(
        UUID id,
        String title,
        String vehicle,
        String className,
        Mode mode,
        Instant createdAt,
        @Nullable String code,
        int sittings,
        int toMark) {}
