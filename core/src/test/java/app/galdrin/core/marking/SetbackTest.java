package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.task.Work;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A figure that is a length on an axle is read, worked, judged, planned and marked like any other. */
class SetbackTest {

    private static final FigureId SETBACK = figure("setback.front");

    private static Practical practical(AnswerUnit unit) {
        List<FigureId> setback = List.of(SETBACK);
        var bare = new Practical(
                "Setback",
                OrderSchool.A,
                DecisionRule.SIMPLE,
                Mode.ASSESSMENT,
                OutcomeSchool.COMPETENCE,
                Optional.empty(),
                List.of(
                        Measure.of("setback", Procedures.of("setback"), setback, 2),
                        new Work("work", List.of(new Work.Item(SETBACK, "setback", unit))),
                        new Judge("judge", setback),
                        new Plan("plan", setback),
                        new HandIn("handIn")),
                new Scheme(List.of(), 0));
        return TaskStart.withDefaults(bare, Vehicles.van());
    }

    private static Bench read(double millimetres) {
        var truth = new Truth(Map.of(SETBACK, millimetres));
        return Bench.of(practical(AnswerUnit.MILLIMETRES), Vehicles.van())
                .read(truth)
                .reference(truth);
    }

    @ParameterizedTest
    @CsvSource({"2,inside,nothing", "14,outside,lookForThePart", "-14,outside,lookForThePart"})
    void everyStep_isMarked(double millimetres, String verdict, String instead) {
        Bench bench = read(millimetres)
                .write("work/setback.front/0/0", Double.toString(millimetres))
                .write("judge/setback.front/0/0", verdict)
                .write("judge/adjustable.setback.front/0/0", "no")
                .write("plan/part.setback.front/0/0", instead);
        MarkSheet sheet = bench.mark();
        assertEquals(List.of(), sheet.redo());
        assertEquals(sheet.available(), sheet.total().intValueExact());
        assertTrue(
                bench.evidence("setback.reading", ReadingEvidence.class)
                                .get(0)
                                .band()
                                .full()
                        > 0.5,
                "mm, from two tapes");
    }

    @Test
    void sidesTakenForOneAnother_areTheWrongSign() {
        Bench bench = read(4).write("work/setback.front/0/0", "-4");
        var slips = bench.evidence("work.working", WorkingEvidence.class).get(0).slips();
        assertTrue(slips.contains(Set.of("methodSign")), slips.toString());
    }

    @Test
    void aLength_isNotAnsweredInDegrees() {
        assertEquals(List.of(), practical(AnswerUnit.MILLIMETRES).faults());
        assertEquals(
                List.of(TaskFaultCode.UNKNOWN),
                practical(AnswerUnit.DEGREES).faults().stream()
                        .map(TaskFault::reason)
                        .toList());
        assertEquals(AnswerUnit.MILLIMETRES, AnswerUnit.DEGREES.orFitting(SETBACK));
        assertEquals(AnswerUnit.DEGREES, AnswerUnit.DEGREES.orFitting(figure("toe.front.left")));
    }
}
