package app.galdrin.web.moderation;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;

/** One sample with the rule that made it; {@code percent} of all sheets, {@code borderline} in points of percent. */
public record Moderation(
        UUID id,
        UUID centreId,
        UUID taskId,
        String title,
        String className,
        long seed,
        int percent,
        BigDecimal borderline,
        String madeBy,
        Instant madeAt,
        int sheets,
        int decided,
        int returned) {}
