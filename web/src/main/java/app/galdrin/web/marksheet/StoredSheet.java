package app.galdrin.web.marksheet;

import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A sheet as it was stored.
 *
 * @param reason why it was re-marked; null where it was signed at the desk
 */
public record StoredSheet(
        int number,
        BigDecimal total,
        int available,
        BigDecimal percent,
        boolean competent,
        String madeBy,
        Instant madeAt,
        @Nullable String reason) {}
