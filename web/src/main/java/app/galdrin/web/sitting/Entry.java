package app.galdrin.web.sitting;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One thing that was written, as it stays for good.
 *
 * @param written as typed
 * @param value what it was read as: mm, deg or turns
 * @param step one unit of the last place as written
 * @param strikes the entry this one strikes out
 * @param isStrike whether it only strikes out and writes nothing
 */
public record Entry(
        UUID id,
        int seq,
        Slot slot,
        String written,
        @Nullable Double value,
        @Nullable Double step,
        @Nullable UUID strikes,
        boolean isStrike,
        UUID personId,
        String device,
        Instant at) {}
