package app.galdrin.core.simulated;

import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;

/** Tries whether a vehicle shows a slip: somebody who makes it there is told so by name. */
public final class SlipProbe {

    private SlipProbe() {}

    /** Returns every slip that can be made on a task's sheet, in the order of its steps. */
    public static List<ProvokedSlip> slips(Assignment assignment) {
        return assignment.practical().steps().stream()
                .flatMap(step -> StepWriters.of(step).slips(step, assignment).stream())
                .toList();
    }

    /**
     * Returns on how many sheets the marker names a slip, when somebody with honest hands makes it.
     *
     * @param found the vehicle as they find it
     * @param sheets how many are tried, 1 or more; the same seed tries the same
     */
    public static int named(Assignment assignment, Truth found, ProvokedSlip slip, int sheets, long seed) {
        int named = 0;
        for (int i = 0; i < sheets; i++) {
            named += isNamed(assignment, found, slip, new SplittableRandom(seed + i)) ? 1 : 0;
        }
        return named;
    }

    private static boolean isNamed(Assignment assignment, Truth found, ProvokedSlip slip, SplittableRandom random) {
        var paper = new Paper(new Sheet(assignment));
        var apprentice = new Apprentice(assignment, paper, () -> new HonestHands(1, random));
        StepWriters.writeAll(apprentice, slip.habit(), found, found);
        Answers reference = TryOut.reference(assignment, found, 0, random);
        return Marker.mark(assignment, paper.answers(), new References(reference, Answers.none())).lines().stream()
                .filter(line -> line.criterion().step().equals(slip.step()))
                .flatMap(line -> line.evidence().stream())
                .anyMatch(evidence -> names(evidence, slip.slip()));
    }

    /** Two slips in planning can come to the same move: there it is enough to be one of those named. */
    private static boolean names(Evidence evidence, String slip) {
        boolean isAlone = evidence.slips().size() == 1 || evidence instanceof Evidence.Effect;
        return !evidence.possible() && isAlone && evidence.slips().contains(Set.of(slip));
    }
}
