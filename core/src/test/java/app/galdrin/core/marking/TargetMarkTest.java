package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.Vehicles.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.task.Work;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What must be read is asked, stands in the document, and is marked on the apprentice's own readings. */
class TargetMarkTest {

    private static final List<FigureId> TOES = List.of(figure("toe.front.left"), figure("toe.front.right"));
    private static final Measure TOE = Measure.of("toe", Procedures.of("rearString"), TOES, 1);
    private static final Measure CASTER =
            Measure.of("caster", Procedures.of("sweep"), List.of(figure("caster.front.left")), 1);
    private static final String LEFT = "work/target.toe.wheels.fl.frontGap/0/0";
    private static final String RIGHT = "work/target.toe.wheels.fr.frontGap/0/0";

    private static Practical practical(Target... targets) {
        var bare = new Practical(
                "Toe",
                OrderSchool.A,
                DecisionRule.SIMPLE,
                Mode.ASSESSMENT,
                OutcomeSchool.COMPETENCE,
                Optional.empty(),
                List.of(
                        TOE,
                        CASTER,
                        new Work(
                                "work",
                                List.of(new Work.Item(TOES.get(0), "toe", AnswerUnit.DEGREES)),
                                List.of(targets)),
                        new HandIn("handIn")),
                new Scheme(List.of(), 0));
        return TaskStart.withDefaults(bare, Vehicles.van());
    }

    /** Preferred is −0.04° a wheel: over a rim of 416 mm the rear gap is the larger by 0.29 mm. */
    @ParameterizedTest
    @CsvSource({
        "'0.3, rearMore','0, frontMore',1,1",
        "'0.79, rearMore','0.8, rearMore',1,0",
        "'0.3, frontMore','0.21, frontMore',0,0",
        "'0.2, frontMore','0.3, rearMore',1,1",
    })
    void aStepOfTheRule_eitherWay_isRight(String left, String right, double leftCredit, double rightCredit) {
        var marked = Bench.of(practical(TOE.target()), Vehicles.van())
                .read(truth("toe.front.left", 0.3, "toe.front.right", -0.1))
                .write(LEFT, left)
                .write(RIGHT, right)
                .evidence("work.working", Evidence.Target.class);
        assertEquals(
                List.of(leftCredit, rightCredit),
                marked.stream().map(Evidence.Target::credit).toList());
        assertEquals(-416 * Math.sin(Math.toRadians(0.04)), marked.get(0).honest(), 1e-6);
        assertEquals(Optional.of("wheels.fl.rearGap"), marked.get(0).against());
    }

    @Test
    void whatIsNotWritten_isSaidToLack() {
        Bench bench = Bench.of(practical(TOE.target()), Vehicles.van());
        assertEquals(
                List.of(Lack.READINGS),
                bench.evidence("work.working", Evidence.MissingEntry.class).stream()
                        .map(Evidence.MissingEntry::what)
                        .toList());
        var missing = bench.read(truth("toe.front.left", 0.3))
                .write(LEFT, "0.3, rearMore")
                .evidence("work.working", Evidence.MissingEntry.class);
        assertEquals(
                List.of(
                        new Evidence.MissingEntry(Lack.WORKING, "toe.front.left"),
                        new Evidence.MissingEntry(Lack.TARGET, "")),
                missing);
    }

    @Test
    void whatNothingMoves_isNotAsked() {
        assertEquals(List.of(), CASTER.target().on(Vehicles.van()), "caster can't be set on this van");
        assertEquals(2, TOE.target().on(Vehicles.van()).size());
    }

    @Test
    void aDocument_carriesIt_andRefusesWhatIsNotMeasured() {
        Practical asked = practical(TOE.target());
        assertEquals(List.of(), asked.faults());
        var read = TaskDocument.read(TaskDocument.write(asked));
        assertEquals(
                asked.steps(),
                ((TaskDocument.Reading.ParsedTask) read).practical().steps());
        var wrong = practical(
                new Target("caster", Procedures.of("rearString"), TOES),
                new Target("toe", Procedures.of("rearString"), List.of(figure("totalToe.rear"))),
                TOE.target());
        assertEquals(
                List.of(
                        TaskFaultCode.NOT_MEASURED,
                        TaskFaultCode.NOT_MEASURED,
                        TaskFaultCode.TWICE,
                        TaskFaultCode.TWICE),
                wrong.faults().stream().map(TaskFault::reason).toList());
    }
}
