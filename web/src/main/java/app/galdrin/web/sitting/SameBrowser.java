package app.galdrin.web.sitting;

import java.util.UUID;

/**
 * A sitting whose name was taken from a browser that took another name too.
 *
 * @param others whose names, with commas
 */
public record SameBrowser(UUID sittingId, String others) {}
