package app.galdrin.web.remark;

import java.math.BigDecimal;
import java.util.UUID;

/** Someone's marks before and after. */
public record MarkChange(
        UUID sittingId,
        UUID personId,
        String name,
        BigDecimal oldTotal,
        BigDecimal total,
        int available,
        BigDecimal oldPercent,
        BigDecimal percent,
        boolean oldCompetent,
        boolean competent,
        boolean released) {}
