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
        boolean stopped,
        boolean signed,
        @Nullable Instant releasedAt,
        boolean returned) {

    /** Returns whether it is over: handed in, or stopped. */
    public boolean handedIn() {
        return handedInAt != null;
    }

    /** Key of how it stands, in the words of the lists. */
    public String state() {
        if (released()) {
            return shown() ? "released" : "releasedSoon";
        }
        if (stopped) {
            return "stopped";
        }
        return signed ? "signed" : returned ? "returned" : handedIn() ? "handedIn" : "open";
    }

    public boolean released() {
        return releasedAt != null;
    }

    /** Returns whether its apprentice sees the marks; until then a release with its task can be taken back. */
    public boolean shown() {
        return releasedAt != null && !releasedAt.isAfter(Instant.now());
    }
}
