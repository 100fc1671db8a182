package app.galdrin.web.sitting;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A vehicle that someone has adjusted out of a state.
 *
 * @param stateId the state that the round made
 * @param sittingId the sitting of that round; null once the data of its person is erased
 * @param names of the people of that sitting
 */
public record VehicleMove(UUID stateId, @Nullable UUID sittingId, Instant madeAt, String names) {}
