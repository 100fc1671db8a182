package app.galdrin.core.marking;

import app.galdrin.core.measure.Asked;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What one apprentice has written in one sitting, struck-out entries left away. Anything may be absent.
 *
 * @param stepsDone keys of the preparation steps done
 * @param asFound readings as found, mm by place, one map a repeat
 * @param asLeft readings after adjustment, likewise
 * @param working the worked figures
 * @param verdicts what was said of each figure
 * @param saysAdjustable whether toe is said to be adjustable on this vehicle
 * @param plan the moves planned for each front rod, both or none
 */
public record SittingWork(
        Set<String> stepsDone,
        List<Map<String, Double>> asFound,
        List<Map<String, Double>> asLeft,
        Map<Asked, Written> working,
        Map<Asked, VerdictChoice> verdicts,
        Optional<Boolean> saysAdjustable,
        Optional<Plan> plan) {

    /** The moves for the left and the right rod. */
    public record Plan(RodMove left, RodMove right) {}

    public static SittingWork empty() {
        return new SittingWork(Set.of(), List.of(), List.of(), Map.of(), Map.of(), Optional.empty(), Optional.empty());
    }
}
