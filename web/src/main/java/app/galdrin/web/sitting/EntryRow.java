package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.account.Role;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An entry's row. */
record EntryRow(
        int seq,
        String key,
        String step,
        String line,
        int repeatNo,
        int roundNo,
        String written,
        @Nullable BigDecimal value,
        @Nullable BigDecimal resolution,
        boolean isStrike,
        List<String> saw,
        boolean late,
        UUID personId,
        Role role,
        String device,
        long deviceSeq,
        Instant writtenAt,
        Instant receivedAt) {

    Entry toEntry() {
        return new Entry(
                seq,
                key,
                new LineKey(step, line, repeatNo, roundNo),
                written,
                value,
                resolution,
                isStrike,
                saw,
                late,
                personId,
                role,
                device,
                deviceSeq,
                writtenAt,
                receivedAt);
    }
}
