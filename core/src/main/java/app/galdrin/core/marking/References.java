package app.galdrin.core.marking;

import java.util.List;
import java.util.Map;

/**
 * The instructor's own readings of the same vehicle in the same states, mm by place, one map a repeat. Empty where they
 * have not been taken.
 *
 * @param asFound before anyone adjusted
 * @param asLeft after this apprentice adjusted
 */
public record References(List<Map<String, Double>> asFound, List<Map<String, Double>> asLeft) {

    public static References none() {
        return new References(List.of(), List.of());
    }
}
