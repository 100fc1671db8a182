package app.galdrin.core.measure;

import app.galdrin.core.geometry.Wheel;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * The readings of one box, mm.
 *
 * @param spacingFront between the strings at the front station, mm, positive
 * @param spacingRear between the strings at the rear station, mm, positive
 * @param stationDistance from the rear station to the front one, along the vehicle, mm, positive
 * @param wheelbase mm, positive
 * @param hubGaps string to hub face, all four
 * @param wheels string to rim, of the wheels that were read
 * @param frontAxleToFrontStation how far the front station lies ahead of the front axle, mm
 */
public record BoxReadings(
        double spacingFront,
        double spacingRear,
        double stationDistance,
        double wheelbase,
        PerWheel hubGaps,
        Map<Wheel, RimGaps> wheels,
        OptionalDouble frontAxleToFrontStation) {

    /**
     * Returns the gaps from the strings to both hubs of a wheel's axle together.
     *
     * @return mm, positive
     */
    double acrossHubs(Wheel wheel) {
        return hubGaps.at(wheel) + hubGaps.at(wheel.opposite());
    }
}
