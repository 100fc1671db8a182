package app.galdrin.web.sitting;

import java.time.Instant;
import java.util.UUID;

/**
 * That somebody has adjusted a vehicle, so that it is no longer in the state it was in.
 *
 * @param stateId the state that his round made
 * @param names of the people of that sitting
 */
public record VehicleMove(UUID stateId, UUID sittingId, Instant madeAt, String names) {}
