package app.galdrin.core.simulated;

import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;

/** Tries whether a vehicle shows a slip: somebody who makes it there is told so by name. */
public final class SlipProbe {

    private SlipProbe() {}

    /**
     * Returns on how many sheets the marker names a slip alone, when somebody with honest hands makes it in working.
     *
     * @param found the vehicle as they find it
     * @param measure id of the measuring step whose readings are worked
     * @param slip its key
     * @param sheets how many are tried, 1 or more; the same seed tries the same
     */
    public static int named(Assignment assignment, Truth found, String measure, String slip, int sheets, long seed) {
        int named = 0;
        for (int i = 0; i < sheets; i++) {
            named += isNamed(assignment, found, measure, slip, new SplittableRandom(seed + i)) ? 1 : 0;
        }
        return named;
    }

    private static boolean isNamed(
            Assignment assignment, Truth found, String measure, String slip, SplittableRandom random) {
        var paper = new Paper(new Sheet(assignment));
        var apprentice = new Apprentice(assignment, paper, () -> new HonestHands(1, random));
        StepWriters.writeAll(apprentice, Habit.working(Map.of(measure, slip)), found, found);
        return Marker.mark(assignment, paper.answers(), References.none()).lines().stream()
                .flatMap(line -> line.evidence().stream())
                .anyMatch(evidence -> evidence instanceof WorkingEvidence working
                        && !working.possible()
                        && working.slips().equals(List.of(Set.of(slip))));
    }
}
