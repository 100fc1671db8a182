package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A figure that nothing on the vehicle moves, left outside: caster on the van, which may be 2.9 to 4.1. */
class NotAdjustableTest {

    private static final Truth BENT = state(6.0, -0.4, -0.4, -0.04, -0.04);

    private static Bench read() {
        Practical full = Bench.fullFront(DecisionRule.SIMPLE).practical();
        Measure sweep = full.measure("caster").orElseThrow();
        Practical again = full.with(full.steps().stream()
                .map(s -> s instanceof Round r ? new Round(r.id(), List.of(sweep.as("casterAgain")), r.most()) : s)
                .toList());
        return Bench.of(TaskStart.withDefaults(again, Vehicles.van()), Vehicles.van())
                .read(BENT)
                .reference(BENT)
                .workRight()
                .leftAt(BENT)
                .leftAgainAt(BENT);
    }

    @ParameterizedTest
    @CsvSource({
        "outside,lookForThePart,1",
        "tooClose,lookForThePart,1",
        "outside,nothing,0",
        "inside,lookForThePart,0",
        "inside,nothing,0",
    })
    void whatNothingMoves_isJudgedOnHavingBeenFoundAndReported(String said, String instead, double credit) {
        Bench bench = read().write("plan/part.caster.front/0/0", instead);
        for (String figure : List.of("caster.front.left", "caster.front.right", "casterDifference.front")) {
            bench.write("judge/" + figure + "/0/0", said);
        }
        var found = bench.evidence("adjust.asLeft", Evidence.NotAdjustable.class);
        assertEquals(
                List.of(figure("caster.front.left"), figure("caster.front.right")),
                found.stream().map(Evidence.NotAdjustable::figure).toList());
        found.forEach(e -> assertEquals(credit, e.credit(), e.toString()));
        MarkLine line = bench.line("adjust.asLeft");
        assertTrue(line.mustPass());
        assertEquals(credit == 1, line.met());
    }
}
