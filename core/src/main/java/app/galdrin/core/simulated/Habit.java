package app.galdrin.core.simulated;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Mistakes that somebody makes on a sheet.
 *
 * @param working slips in working figures out, by id of the measuring step whose readings are worked
 * @param reading slips in writing readings down, by id of the measuring step
 * @param plan the slip in planning, by its key
 * @param verdict the slip in reading the sheet's limits, by its key
 * @param leftOut ids of checklist items that are not done, keys of figures that are not worked out
 */
public record Habit(
        Map<String, String> working,
        Map<String, String> reading,
        Optional<String> plan,
        Optional<String> verdict,
        Set<String> leftOut) {

    public static final Habit CAREFUL = new Habit(Map.of(), Map.of(), Optional.empty(), Optional.empty(), Set.of());

    public Habit {
        working = Map.copyOf(working);
        reading = Map.copyOf(reading);
        leftOut = Set.copyOf(leftOut);
    }

    /** Returns somebody with slips in working, by measuring step. */
    public static Habit working(Map<String, String> slips) {
        return new Habit(slips, Map.of(), Optional.empty(), Optional.empty(), Set.of());
    }

    /** Returns the same with a slip in writing readings down. */
    public Habit andReading(String measure, String slip) {
        Map<String, String> all = new HashMap<>(reading);
        all.put(measure, slip);
        return new Habit(working, all, plan, verdict, leftOut);
    }

    /** Returns the same with a slip in planning. */
    public Habit andPlan(String slip) {
        return new Habit(working, reading, Optional.of(slip), verdict, leftOut);
    }

    /** Returns the same with a slip in reading the limits. */
    public Habit andVerdict(String slip) {
        return new Habit(working, reading, plan, Optional.of(slip), leftOut);
    }

    /** Returns the same, leaving things out. */
    public Habit without(String... left) {
        return new Habit(working, reading, plan, verdict, Set.of(left));
    }
}
