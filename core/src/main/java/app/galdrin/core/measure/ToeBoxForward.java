package app.galdrin.core.measure;

import app.galdrin.core.geometry.Wheel;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;

/**
 * The forward model of {@link ToeBox}: what is read from two strings set up round a vehicle in a known state. A string's offset
 * from the centreline changes evenly along the vehicle.
 */
public final class ToeBoxForward {

    private ToeBoxForward() {}

    /**
     * Set-up of a box round a vehicle, mm.
     *
     * @param frontAxleToFrontStation how far the front station lies ahead of the front axle, mm
     * @param stationDistance mm, positive
     * @param leftOffsetFront from the centreline to the left string at the front station, mm
     * @param leftOffsetRear from the centreline to the left string at the rear station, mm
     * @param rightOffsetFront from the centreline to the right string at the front station, mm
     * @param rightOffsetRear from the centreline to the right string at the rear station, mm
     */
    public record SetUp(
            double frontAxleToFrontStation,
            double stationDistance,
            double leftOffsetFront,
            double leftOffsetRear,
            double rightOffsetFront,
            double rightOffsetRear) {

        private double skew(boolean left) {
            double rise = left ? leftOffsetFront - leftOffsetRear : rightOffsetFront - rightOffsetRear;
            return Math.atan(rise / stationDistance);
        }

        /** Offset of a string from the centreline, {@code back} behind the front axle. */
        private double offset(boolean left, double back) {
            double front = left ? leftOffsetFront : rightOffsetFront;
            return front - Math.tan(skew(left)) * (frontAxleToFrontStation + back);
        }
    }

    /**
     * The true state of a vehicle in plan.
     *
     * @param wheelbase mm, positive
     * @param tracks at the hub faces, mm
     * @param toes rad, of the wheels that are to be read
     */
    public record Truth(double wheelbase, BoxTracks tracks, Rims rims, Map<Wheel, Double> toes) {}

    /**
     * The lengths between the rim edges of both axles' wheels, mm.
     *
     * @param front mm, positive
     * @param rear mm, positive
     */
    public record Rims(double front, double rear) {
        double of(Wheel wheel) {
            return wheel.front() ? front : rear;
        }
    }

    /** The forward model: what is read from a box set up like this round such a vehicle, the tape for the spacings. */
    public static BoxReadings readings(
            Truth truth, SetUp setUp, Instrument tape, Instrument rule, RandomGenerator noise) {
        PerWheel trueHubGaps = PerWheel.of(wheel -> {
            double back = wheel.front() ? 0 : truth.wheelbase();
            double track =
                    wheel.front() ? truth.tracks().front() : truth.tracks().rear();
            return setUp.offset(wheel.left(), back) - track / 2;
        });
        PerWheel hubGaps = PerWheel.of(wheel -> rule.read(trueHubGaps.at(wheel), noise));
        Map<Wheel, RimGaps> wheels = new EnumMap<>(Wheel.class);
        new EnumMap<>(truth.toes()).forEach((wheel, toe) -> {
            double skew = setUp.skew(wheel.left());
            double squareToString = trueHubGaps.at(wheel) * Math.cos(skew);
            var line = ToeLine.forward(
                    toe, squareToString, truth.rims().of(wheel), ToeLine.LineSide.OUTBOARD, skew, rule, noise);
            wheels.put(wheel, line.gaps());
        });
        return new BoxReadings(
                tape.read(setUp.leftOffsetFront() + setUp.rightOffsetFront(), noise),
                tape.read(setUp.leftOffsetRear() + setUp.rightOffsetRear(), noise),
                setUp.stationDistance(),
                truth.wheelbase(),
                hubGaps,
                wheels,
                OptionalDouble.of(setUp.frontAxleToFrontStation()));
    }
}
