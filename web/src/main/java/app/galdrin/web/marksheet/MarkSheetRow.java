package app.galdrin.web.marksheet;

import app.galdrin.core.task.Aspect;
import java.math.BigDecimal;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A stored mark sheet. */
public record MarkSheetRow(
        UUID centreId,
        UUID sittingId,
        UUID personId,
        int number,
        String engine,
        int entrySeq,
        String referenceSeqs,
        BigDecimal total,
        int available,
        BigDecimal percent,
        boolean competent,
        boolean complete,
        UUID madeBy) {

    /** One of its lines. */
    public record LineRow(
            int ordinal,
            String step,
            Aspect aspect,
            int available,
            boolean mustPass,
            BigDecimal credit,
            BigDecimal computed,
            @Nullable BigDecimal given,
            @Nullable String reason,
            int evidenceVersion,
            String evidence) {}
}
