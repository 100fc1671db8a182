package app.galdrin.web.library;

import java.time.Instant;

/**
 * How a version of a sheet came about.
 *
 * @param author display name of who wrote it; empty where the program did
 * @param reason why there is a new one; empty for the first
 */
public record SheetRevision(Instant at, String author, String reason) {}
