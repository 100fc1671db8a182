package app.galdrin.core.record;

import java.util.List;
import java.util.function.Supplier;

/**
 * Answer to a record.
 *
 * @param working the steps from the readings to the figures, worked out when someone asks
 */
public record Answer(Figures figures, Supplier<List<Step>> working) {}
