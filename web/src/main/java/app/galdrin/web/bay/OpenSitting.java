package app.galdrin.web.bay;

import java.util.UUID;

/**
 * A sheet that is open on a vehicle: joined by a code that is still good, and not handed in.
 *
 * @param names of the people who sit it
 * @param hasRead whether something was measured on the vehicle, or it was adjusted
 */
public record OpenSitting(UUID id, String names, boolean hasRead) {}
