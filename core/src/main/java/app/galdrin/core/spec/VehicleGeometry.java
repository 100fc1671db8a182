package app.galdrin.core.spec;

import app.galdrin.core.geometry.Axle;

/**
 * The dimensions of a vehicle that measuring and adjusting need, mm.
 *
 * @param frontTrack at the wheel centres; likewise rear
 * @param rimDiameter the baseline of readings taken at the rim
 * @param rodPitch lead of one thread of the track rod a turn
 * @param doubleThread a sleeve with opposite threads, which moves two pitches a turn
 * @param armLength effective steering-arm length: atan(lead / armLength) is the toe of one turn
 * @param steeringRatio steering-wheel angle over road-wheel angle
 */
public record VehicleGeometry(
        double wheelbase,
        double frontTrack,
        double rearTrack,
        double rimDiameter,
        double tyreRadius,
        Linkage linkage,
        double rodPitch,
        boolean doubleThread,
        double armLength,
        double steeringRatio) {

    public VehicleGeometry {
        positive("wheelbase", wheelbase);
        positive("frontTrack", frontTrack);
        positive("rearTrack", rearTrack);
        positive("rimDiameter", rimDiameter);
        positive("tyreRadius", tyreRadius);
        positive("rodPitch", rodPitch);
        positive("armLength", armLength);
        positive("steeringRatio", steeringRatio);
    }

    private static void positive(String name, double value) {
        if (!(value > 0)) {
            throw new IllegalArgumentException(name + " (" + value + ") must be positive: was a figure left out?");
        }
    }

    /** Between the wheel centres of an axle, mm, positive. */
    public double track(Axle axle) {
        return axle == Axle.FRONT ? frontTrack : rearTrack;
    }

    /** Between the rim's edges of a wheel of an axle, mm, positive. */
    public double rim(Axle axle) {
        return rimDiameter;
    }

    /** Of a tyre of an axle, mm, positive. */
    public double tyre(Axle axle) {
        return tyreRadius;
    }

    /** How far the rod moves in one turn, mm. */
    public double lead() {
        return doubleThread ? 2 * rodPitch : rodPitch;
    }
}
