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
        String names,
        @Nullable Integer bay,
        int attempt,
        Instant begunAt,
        @Nullable String lastStep,
        @Nullable Instant lastAt,
        boolean flagged,
        @Nullable Instant handedInAt,
        boolean signed,
        @Nullable Instant releasedAt) {

    public boolean handedIn() {
        return handedInAt != null;
    }

    public boolean released() {
        return releasedAt != null;
    }
}
