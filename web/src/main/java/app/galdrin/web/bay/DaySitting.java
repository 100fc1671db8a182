package app.galdrin.web.bay;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A sheet that was begun on a vehicle.
 *
 * @param names of the people who sit it
 * @param handedInAt null while it is open
 */
public record DaySitting(
        UUID id, String names, Instant begunAt, @Nullable Instant handedInAt) {}
