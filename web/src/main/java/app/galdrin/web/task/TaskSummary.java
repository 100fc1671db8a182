package app.galdrin.web.task;

import app.galdrin.core.task.Mode;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A task as a list shows it.
 *
 * @param code where it is open now
 * @param sittings how many there are, {@link #MOST_COUNTED} where there are as many or more
 * @param toMark those handed in and not released, counted likewise
 */
public record TaskSummary(
        UUID id,
        String title,
        String vehicle,
        String className,
        Mode mode,
        Instant createdAt,
        @Nullable String code,
        int sittings,
        int toMark) {

    /** Sittings of one task are counted as far as this, so that a list of old tasks costs no more than one of new ones. */
    public static final int MOST_COUNTED = 1000;

    public boolean uncounted(int number) {
        return number >= MOST_COUNTED;
    }
}
