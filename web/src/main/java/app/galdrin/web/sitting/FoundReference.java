package app.galdrin.web.sitting;

import java.util.UUID;

/**
 * A reference of a vehicle as found.
 *
 * @param id of its readings
 * @param stateId the state in which the vehicle was read
 */
public record FoundReference(UUID id, UUID stateId) {}
