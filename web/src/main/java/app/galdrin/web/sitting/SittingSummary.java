package app.galdrin.web.sitting;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A sitting as lists show it. */
public record SittingSummary(
        UUID id,
        UUID taskId,
        String title,
        String vehicle,
        UUID personId,
        String personName,
        @Nullable Integer bay,
        Instant begunAt,
        @Nullable String lastStage,
        @Nullable Instant lastAt,
        boolean flagged,
        boolean handedIn,
        boolean signed,
        boolean released) {}
