package app.galdrin.core.spec;

import app.galdrin.core.geometry.Axle;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The dimensions of a vehicle that measuring and adjusting need, mm.
 *
 * @param wheelbase mm, positive
 * @param frontTrack at the wheel centres, mm, positive
 * @param rearTrack at the wheel centres, mm, positive
 * @param front wheels of the front axle; those of the rear may be of another size
 * @param rodPitch lead of one thread of the track rod a turn; empty where nobody knows
 * @param doubleThread a sleeve with opposite threads, which moves two pitches a turn
 * @param armLength effective steering-arm length: atan(lead / armLength) is the toe of one turn; empty where nobody knows
 * @param steeringRatio steering-wheel angle over road-wheel angle, without unit; empty where nobody knows
 * @param frontSuspension empty where nobody knows; likewise rear
 */
public record VehicleGeometry(
        double wheelbase,
        double frontTrack,
        double rearTrack,
        WheelSize front,
        WheelSize rear,
        Linkage linkage,
        OptionalDouble rodPitch,
        boolean doubleThread,
        OptionalDouble armLength,
        OptionalDouble steeringRatio,
        Optional<Suspension> frontSuspension,
        Optional<Suspension> rearSuspension) {

    public VehicleGeometry {
        positive("wheelbase", wheelbase);
        positive("frontTrack", frontTrack);
        positive("rearTrack", rearTrack);
        rodPitch.ifPresent(v -> positive("rodPitch", v));
        armLength.ifPresent(v -> positive("armLength", v));
        steeringRatio.ifPresent(v -> positive("steeringRatio", v));
    }

    /** The same wheels on both axles, and nothing unknown but the suspensions. */
    public VehicleGeometry(
            double wheelbase,
            double frontTrack,
            double rearTrack,
            WheelSize wheels,
            Linkage linkage,
            double rodPitch,
            boolean doubleThread,
            double armLength,
            double steeringRatio) {
        this(
                wheelbase,
                frontTrack,
                rearTrack,
                wheels,
                wheels,
                linkage,
                OptionalDouble.of(rodPitch),
                doubleThread,
                OptionalDouble.of(armLength),
                OptionalDouble.of(steeringRatio),
                Optional.empty(),
                Optional.empty());
    }

    /** The same on these suspensions. */
    public VehicleGeometry on(Suspension frontAxle, Suspension rearAxle) {
        return new VehicleGeometry(
                wheelbase,
                frontTrack,
                rearTrack,
                front,
                rear,
                linkage,
                rodPitch,
                doubleThread,
                armLength,
                steeringRatio,
                Optional.of(frontAxle),
                Optional.of(rearAxle));
    }

    private static void positive(String name, double value) {
        if (!(value > 0)) {
            throw new IllegalArgumentException(name + " (" + value + ") must be positive: was a figure left out?");
        }
    }

    /** Returns the length between the wheel centres of an axle, mm, positive. */
    public double track(Axle axle) {
        return axle == Axle.FRONT ? frontTrack : rearTrack;
    }

    /** Returns the sizes of the wheels of an axle. */
    public WheelSize wheels(Axle axle) {
        return axle == Axle.FRONT ? front : rear;
    }

    /** Returns the length between the rim edges of a wheel, mm, positive. */
    public double rim(Axle axle) {
        return wheels(axle).rimDiameter();
    }

    /** Returns the tyre diameter of an axle, mm, positive. */
    public double tyre(Axle axle) {
        return wheels(axle).tyreRadius();
    }

    /** Returns how far the rod moves in one turn, mm; empty where nobody knows. */
    public OptionalDouble lead() {
        return rodPitch.isPresent()
                ? OptionalDouble.of((doubleThread ? 2 : 1) * rodPitch.getAsDouble())
                : OptionalDouble.empty();
    }
}
