package app.galdrin.web.task;

import java.util.UUID;

/**
 * A task that is open to its class on one of its vehicles.
 *
 * @param code to join it by
 */
public record OpenTask(UUID vehicleId, UUID taskId, String title, String className, String code) {}
