package app.galdrin.core.steering;

import app.galdrin.core.spec.VehicleGeometry;

/**
 * What turning a track rod does: a turn that lengthens it moves its wheel's toe by atan(lead / arm length), toe-in where
 * the linkage lies behind the axle and toe-out where it lies ahead.
 */
public final class TrackRod {

    private final double ratePerTurn;

    private TrackRod(double ratePerTurn) {
        this.ratePerTurn = ratePerTurn;
    }

    public static TrackRod of(VehicleGeometry geometry) {
        double size = Math.atan(geometry.lead() / geometry.armLength());
        return new TrackRod(geometry.linkage().toeInWhenLengthened() * size);
    }

    /** Toe-in gained by one turn that lengthens, rad. */
    public double ratePerTurn() {
        return ratePerTurn;
    }

    /** Turns that bring a wheel from one toe to another (rad); positive lengthens the rod. */
    public double turns(double current, double target) {
        return (target - current) / ratePerTurn;
    }
}
