package app.galdrin.core.workshop;

import java.util.Map;

/**
 * A vehicle as it stands in a bay.
 *
 * @param wheelbase mm
 * @param frontTrack between the outer faces of the rims, mm; {@code rearTrack} likewise
 * @param rearTrack mm, positive
 * @param rim diameter of all rims, mm
 * @param tyre radius of all tyres, mm
 * @param figures what is true of it, rad or mm by key such as {@code toe.front.left}; 0 where nothing is said
 * @param pitch of the floor, rad, the front higher
 * @param roll of the floor, rad, the left side higher
 * @param runOut of rims and tyres, mm from least to greatest
 * @param rolled how far the wheels happen to have rolled: any number, from which follows where each runs out most
 */
public record StandingVehicle(
        double wheelbase,
        double frontTrack,
        double rearTrack,
        double rim,
        double tyre,
        Map<String, Double> figures,
        double pitch,
        double roll,
        double runOut,
        long rolled) {

    public StandingVehicle {
        figures = Map.copyOf(figures);
    }

    /** Rad or mm. */
    double of(String figure) {
        return figures.getOrDefault(figure, 0.0);
    }

    /** Up by gravity: what levels along the vehicle and across it show is how far it leans that way. */
    Point up() {
        double x = Math.sin(pitch);
        double y = Math.sin(roll);
        return new Point(x, y, Math.sqrt(1 - x * x - y * y));
    }
}
