package app.galdrin.core.simulated;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;

/** Draws what somebody does wrong on a sheet. */
public final class HabitDraw {

    static final List<String> PLAN_SLIPS = List.of("wrongWay", "movedTwice");
    private static final List<String> VERDICT_SLIPS = List.of("limitsSwapped", "limitSignLost");

    private final double slips;
    private final double leavesOut;
    private final RandomGenerator random;
    private final Map<String, String> working = new HashMap<>();
    private final Map<String, String> reading = new HashMap<>();
    private final Set<String> leftOut = new HashSet<>();

    /**
     * A draw for one person.
     *
     * @param slips chance of a slip at each thing there is to slip at, 0 to 1
     * @param leavesOut chance that an item of a list is left out, 0 to 1; of one that keeps people whole a quarter of it
     */
    HabitDraw(double slips, double leavesOut, RandomGenerator random) {
        this.slips = slips;
        this.leavesOut = leavesOut;
        this.random = random;
    }

    /** Draws a slip in working the figures of a measurement. */
    void workingSlip(String measure, List<String> keys) {
        maybe(slips, keys).ifPresent(slip -> working.put(measure, slip));
    }

    /** Draws a slip in writing the readings of a measurement down. */
    void readingSlip(String measure, List<String> keys) {
        maybe(slips / 3, keys).ifPresent(slip -> reading.put(measure, slip));
    }

    /** Draws whether an item is left out. */
    public void item(String id, boolean critical) {
        if (random.nextDouble() < leavesOut / (critical ? 4 : 1)) {
            leftOut.add(id);
        }
    }

    /** Draws what remains, and returns all that was drawn. */
    Habit habit() {
        return new Habit(working, reading, maybe(slips, PLAN_SLIPS), maybe(slips / 2, VERDICT_SLIPS), leftOut);
    }

    private Optional<String> maybe(double chance, List<String> keys) {
        return keys.isEmpty() || random.nextDouble() >= chance
                ? Optional.empty()
                : Optional.of(keys.get(random.nextInt(keys.size())));
    }
}
