package app.galdrin.web.sitting;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A sitting as lists show it.
 *
 * @param returned whether a verifier has given its marks back and they have not been signed since
 */
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
        @Nullable Instant releasedAt,
        boolean returned) {

    public boolean handedIn() {
        return handedInAt != null;
    }

    public boolean released() {
        return releasedAt != null;
    }
}
