package app.galdrin.web.task;

import java.time.Instant;
import java.util.UUID;

/** A task opened to its class until it is closed or the time is up. */
public record Opening(UUID id, UUID centreId, UUID taskId, String code, Instant openedAt, Instant closesAt) {}
