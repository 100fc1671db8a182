package app.galdrin.web.bay;

import org.jspecify.annotations.Nullable;

/**
 * Move of one part of a vehicle.
 *
 * @param part its id on the vehicle's sheet
 * @param amount in the unit of the part, positive the way that counts as positive; null where nobody knows how far
 */
public record PartMove(String part, @Nullable Double amount) {}
