package app.galdrin.web.task.internal;

import java.time.Instant;
import java.util.UUID;

/** A draft that can be gone on with. */
record OpenDraft(UUID id, String title, boolean nextVersion, Instant changedAt) {}
