package app.galdrin.core.measure;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Map;
import java.util.Optional;

/**
 * Result of the box; angles rad, lengths mm.
 *
 * @param skewLeft rad, the front end of the left string farther outboard positive
 * @param skewRight rad, the front end of the right string farther outboard positive
 * @param toes of the wheels that were read, toe-in positive
 * @param totalFront where both front wheels were read; likewise rear
 * @param thrustAngle rear wheels together pointing right: positive
 * @param steerAhead front wheels together pointing right of the thrust line: positive
 * @param trackDifference front track less rear track at the hub faces, mm
 * @param tracks front and rear track at the hub faces, where the front station is placed
 */
public record BoxResult(
        double skewLeft,
        double skewRight,
        Map<Wheel, Estimate> toes,
        Optional<Estimate> totalFront,
        Optional<Estimate> totalRear,
        Optional<Estimate> thrustAngle,
        Optional<Estimate> steerAhead,
        double trackDifference,
        Optional<BoxTracks> tracks) {}
