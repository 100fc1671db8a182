package app.galdrin.core.steering;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.VehicleGeometry;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Effect of turning a track rod: a turn that lengthens it moves its wheel's toe by atan(lead / arm length), toe-in where
 * the linkage lies behind the axle and toe-out where it lies ahead.
 *
 * @param ratePerTurn toe-in gained by one turn that lengthens, rad
 */
public record TrackRod(double ratePerTurn) {

    /** More turns than anyone gives a rod in one go. */
    private static final double MOST_TURNS = 20;

    private static final double LEAST_TURN = 0.125;

    /** Returns the track rod of a vehicle; empty if its sheet gives no thread or arm. */
    public static Optional<TrackRod> of(VehicleGeometry geometry) {
        OptionalDouble lead = geometry.lead();
        OptionalDouble arm = geometry.armLength();
        return lead.isPresent() && arm.isPresent()
                ? Optional.of(of(lead.getAsDouble(), arm.getAsDouble(), geometry.linkage()))
                : Optional.empty();
    }

    /**
     * A rod on a steering arm.
     *
     * @param lead how far the rod moves in one turn, mm, positive
     * @param armLength effective steering-arm length, mm, positive
     */
    public static TrackRod of(double lead, double armLength, Linkage linkage) {
        return new TrackRod(linkage.toeInWhenLengthened() * Math.atan(lead / armLength));
    }

    /**
     * A rate learned from an adjustment already made.
     *
     * @param change of the toe, after less before, rad; taken as a difference because two nearly equal toes are subtracted where their
     *     digits are, in the unit they were written in
     * @param turns turns, positive where the rod was lengthened; not 0
     */
    public static TrackRod learned(double change, double turns) {
        return new TrackRod(change / turns);
    }

    /** A front wheel's rod as a part of the sheet; its effect follows from thread and steering arm. */
    public static Adjuster adjuster(Wheel wheel, VehicleGeometry geometry) {
        return new Adjuster(
                Part.ROD,
                Location.of(wheel),
                AdjusterUnit.TURN,
                MOST_TURNS,
                LEAST_TURN,
                effects(wheel, geometry),
                true);
    }

    /** Returns what a turn does to the wheel's toe: how much, or only which way where thread or arm are unknown. */
    public static Map<FigureId, Adjuster.Effect> effects(Wheel wheel, VehicleGeometry geometry) {
        return Map.of(
                FigureId.of(Measurand.TOE, wheel),
                of(geometry)
                        .map(rod -> Adjuster.Effect.of(rod.ratePerTurn(), 0))
                        .orElseGet(() -> Adjuster.Effect.way(geometry.linkage().toeInWhenLengthened())));
    }

    /**
     * Turns that change a wheel's toe by so much (target less current, rad); positive lengthens the rod.
     *
     * @param change target less current toe, rad
     */
    public double turns(double change) {
        return change / ratePerTurn;
    }

    /**
     * The forward model: the toe (rad) of a wheel whose rod is lengthened by so many turns.
     *
     * @param current rad, toe-in positive
     * @param turns turns, lengthening positive
     */
    public double toeAfter(double current, double turns) {
        return current + turns * ratePerTurn;
    }
}
