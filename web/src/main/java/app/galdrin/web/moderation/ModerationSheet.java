package app.galdrin.web.moderation;

import app.galdrin.core.moderation.SelectionReason;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A sheet of it, as it was signed when it was drawn.
 *
 * @param changedSince whether a later one was signed or made since
 */
public record ModerationSheet(
        int ordinal,
        UUID sittingId,
        UUID personId,
        String name,
        int number,
        SelectionReason why,
        BigDecimal percent,
        boolean competent,
        boolean changedSince,
        @Nullable ModerationDecision decision,
        @Nullable String reason,
        @Nullable String decidedBy,
        @Nullable Instant decidedAt) {}
