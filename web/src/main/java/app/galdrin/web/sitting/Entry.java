package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.web.account.Role;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One thing that was written, as it stays for good.
 *
 * @param key made on the device that wrote it
 * @param written as typed
 * @param value what it was read as: mm, deg or a count; a mark
 * @param resolution one unit of the last place as written
 * @param isStrike whether it only strikes out; then {@code written} is the reason, if one was given
 * @param saw keys of the entries that the writer saw standing, which this one strikes or rewrites
 * @param late whether it was written before a hand-in and arrived after it
 * @param writtenAt by the clock of the device, put right by its offset
 */
public record Entry(
        int seq,
        String key,
        LineKey line,
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

    public WrittenValue asWritten() {
        return new WrittenValue(written, number(value), number(resolution));
    }

    private static OptionalDouble number(@Nullable BigDecimal number) {
        return number == null ? OptionalDouble.empty() : OptionalDouble.of(number.doubleValue());
    }
}
