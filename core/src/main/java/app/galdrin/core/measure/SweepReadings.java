package app.galdrin.core.measure;

import app.galdrin.core.geometry.Floor;
import app.galdrin.core.geometry.Side;
import java.util.List;

/**
 * The readings of one wheel; {@code kpi} (rad) is assumed where fewer than three steer angles are distinct.
 *
 * @param kpi rad, leaning inward positive
 */
public record SweepReadings(Side side, List<SweepReading> readings, Floor floor, double kpi) {}
