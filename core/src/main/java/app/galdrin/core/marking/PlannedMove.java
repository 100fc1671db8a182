package app.galdrin.core.marking;

import app.galdrin.core.spec.Direction;

/**
 * Planned move of one part, 0 or more in its unit.
 *
 * @param amount in the unit of the part, 0 or more
 */
public record PlannedMove(String adjuster, String unit, Direction way, double amount) {}
