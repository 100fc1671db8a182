package app.galdrin.core.workshop;

import java.util.SplittableRandom;

/** One wheel as a disc in space: where its hub is, which way it heads, which way its face looks; and how it runs out. */
final class Corner {

    final String key;
    final boolean front;

    /** 1 on the left, −1 on the right. */
    final int side;

    final Point hub;

    /** Level, forward along the wheel. */
    final Point heading;

    /** Level, outward. */
    final Point outward;

    /** Square to the wheel's face, outward. */
    final Point face;

    /** The direction in the wheel's plane from the hub to its highest point. */
    final Point rising;

    private final StandingVehicle vehicle;
    private final double phase;

    /** {@code key} is {@code fl}, {@code fr}, {@code rl} or {@code rr}. */
    Corner(StandingVehicle vehicle, String key) {
        this.vehicle = vehicle;
        this.key = key;
        this.front = key.startsWith("f");
        this.side = key.endsWith("l") ? 1 : -1;
        double back = front && side < 0 ? vehicle.of("setback.front") : 0;
        double track = front ? vehicle.frontTrack() : vehicle.rearTrack();
        this.hub = new Point((front ? 0 : -vehicle.wheelbase()) - back, side * track / 2, 0);
        double toe = of("toe");
        double camber = of("camber");
        this.heading = new Point(Math.cos(toe), -side * Math.sin(toe), 0);
        this.outward = new Point(Math.sin(toe), side * Math.cos(toe), 0);
        this.face = outward.times(Math.cos(camber)).minus(Point.UP.times(Math.sin(camber)));
        this.rising = outward.times(Math.sin(camber)).plus(Point.UP.times(Math.cos(camber)));
        this.phase = 2 * Math.PI * new SplittableRandom(vehicle.rolled() + key.hashCode()).nextDouble();
    }

    /** Rad or mm. */
    double of(String measurand) {
        return vehicle.of(measurand + (front ? ".front." : ".rear.") + (side > 0 ? "left" : "right"));
    }

    /**
     * A point of the rim or the tyre, at hub height so far ahead of the hub, mm, with how far it runs out there.
     *
     * @param ahead negative behind the hub
     */
    Point ahead(double ahead) {
        return hub.plus(heading.times(ahead)).plus(face.times(Math.signum(ahead) * wobble(Math.cos(phase))));
    }

    /** The same so far above the hub in the wheel's plane, mm. */
    Point above(double above) {
        return hub.plus(rising.times(above)).plus(face.times(Math.signum(above) * wobble(Math.sin(phase))));
    }

    private double wobble(double share) {
        return vehicle.runOut() / 2 * share;
    }

    /** Returns how far run-out turns what leans on the wheel ahead of the hub and behind it, rad, toe-in positive. */
    double turnedByRunOut(double halfSpan) {
        return -Math.atan(wobble(Math.cos(phase)) / halfSpan);
    }

    /** Returns how far the top leans outward against gravity, as a level on the face shows it, rad. */
    double leans(Point towards) {
        return -Math.asin(towards.dot(vehicle.up()));
    }

    /**
     * Returns the direction of the face once the wheel is turned about its steering axis until it heads so far outward of where it stood, rad.
     *
     * @param turned negative inward
     */
    Point faceTurned(double turned) {
        Point axis = new Point(-Math.tan(of("caster")), -side * Math.tan(of("kpi")), 1).direction();
        double wanted = headingOf(face) + side * turned;
        double about = side * turned;
        for (int i = 0; i < 20; i++) {
            about += wanted - headingOf(face.turned(axis, about));
        }
        return face.turned(axis, about);
    }

    /** Returns the heading to the left of straight ahead, rad. */
    private double headingOf(Point outwards) {
        return Math.atan2(-side * outwards.x(), side * outwards.y());
    }
}
