package app.galdrin.core.spec;

import java.util.OptionalDouble;

/**
 * Height and load of a vehicle on its springs, which all its angles depend on.
 *
 * @param rideHeight from the hub to the edge of the wheel arch, at the front, mm, {@link #LEAST_HEIGHT} to {@link #MOST_HEIGHT}; empty where nothing is said
 * @param load what is carried, kg, 0 to {@link #MOST_LOAD}; empty where nothing is said
 */
public record Stance(OptionalDouble rideHeight, OptionalDouble load) {

    /** Stance that says nothing. */
    public static final Stance ANY = new Stance(OptionalDouble.empty(), OptionalDouble.empty());

    public static final double LEAST_HEIGHT = 50;
    public static final double MOST_HEIGHT = 1500;
    public static final double MOST_LOAD = 20_000;

    /** Heights that differ by less are read as the same, mm. */
    private static final double SAME_HEIGHT = 3;

    /** Loads that differ by less are the same, kg. */
    private static final double SAME_LOAD = 5;

    /** Returns whether it says nothing. */
    public boolean isAny() {
        return rideHeight.isEmpty() && load.isEmpty();
    }

    /** Returns whether a vehicle that stands so has all that this one asks for. */
    public boolean isMetBy(Stance now) {
        return isMet(rideHeight, now.rideHeight, SAME_HEIGHT) && isMet(load, now.load, SAME_LOAD);
    }

    /** Returns it with what another one says where this one says nothing. */
    public Stance or(Stance other) {
        return new Stance(rideHeight.isPresent() ? rideHeight : other.rideHeight, load.isPresent() ? load : other.load);
    }

    private static boolean isMet(OptionalDouble asked, OptionalDouble there, double same) {
        return asked.isEmpty() || there.isPresent() && Math.abs(asked.getAsDouble() - there.getAsDouble()) <= same;
    }
}
