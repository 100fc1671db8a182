package app.galdrin.web.library;

import java.time.Instant;

/**
 * Origin of a version of a sheet.
 *
 * @param author display name of who wrote it; empty where the program did
 * @param reason why there is a new one; empty for the first
 */
public record SheetRevision(Instant at, String author, String reason) {}
