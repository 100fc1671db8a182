package app.galdrin.core.question;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.StepTrial;
import app.galdrin.core.Vehicles;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.simulated.TryOut;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A question from the bench to its marks. */
class QuestionTest {

    private static final String NUMBER = "words=Exact factor at 30°?; asks=number; unit=times; right=1; within=0.05";
    private static final String TORQUE =
            "words=Wheel nuts?; asks=number; unit=N·m; right=110; within=5; why=loose or fall";
    private static final String CHOICE =
            "words=Lengthen a rod behind the axle?; asks=choice; options=toe-in, toe-out, no change; right=toe-in";
    private static final String TEXT = "words=Why is toe last?; why=caster or camber, move or change or disturb";

    private static StepTrial question(String fields) {
        return new StepTrial(Vehicles.van(), "question").set(fields.split("; "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                NUMBER + "| 1 | | 1",
                NUMBER + "| 1,05 | | 1",
                NUMBER + "| 1.06 | | 0",
                NUMBER + "| | | 0",
                TORQUE + "| 110 | it comes loose | 1",
                TORQUE + "| 85 lbf ft | loose | 0.5",
                TORQUE + "| 81 lbf ft | loose | 1",
                TORQUE + "| 81 lbf ft | | 0.5",
                CHOICE + "| toe-in | | 1",
                CHOICE + "| no change | | 0",
                TEXT + "| camber and caster change it | | 1",
                TEXT + "| camber first | | 0.5",
                TEXT + "| | | 0",
            })
    void anAnswer_isMarked(String fields, @Nullable String answer, @Nullable String why, double credit) {
        StepTrial question = question(fields);
        assertEquals(List.of(), question.faults());
        if (answer != null) {
            question.write(Question.ANSWER, answer);
        }
        if (why != null) {
            question.write(Question.WHY, why);
        }
        assertEquals(credit, question.marked("answer").credit(), 1e-12);
        assertEquals(answer == null, question.evidence("answer").get(0).isUnwritten());
    }

    @Test
    void whatIsRight_isSaidInTheUnitAsked() {
        var number = (Evidence.Answer) question(TORQUE).evidence("answer").get(0);
        assertEquals("110\u00a0N·m", number.right());
        var choice = (Evidence.Answer) question(CHOICE).evidence("answer").get(0);
        assertEquals("toe-in", choice.right());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                CHOICE + "; options=up, down | up",
                CHOICE + "; options=toe-out, toe-in | toe-in",
                CHOICE + "; asks=number | 0",
                CHOICE + "; asks=text | ''",
                NUMBER + "; unit=mm | 1",
                NUMBER + "; asks=choice | yes",
            })
    void whatIsRight_staysWhereItStillCanBe(String fields, String right) {
        assertEquals(right, ((Question) question(fields).step()).right());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                NUMBER + "| right | much | bench.number.fault",
                NUMBER + "| within | -1 | question.within.fault",
                CHOICE + "| right | sideways | field.noChoice",
                CHOICE + "| asks | tick | field.noChoice",
                TEXT + "| right | anything | field.noChoice",
                TEXT + "| why | , | bench.why.fault",
            })
    void whatCannotBe_isRefused(String fields, String field, String typed, String why) {
        assertEquals(why, question(fields).refused(field, typed));
    }

    @Test
    void aQuestionWithoutWordsOrAnswer_keepsTheTaskFromBeingSet() {
        var empty = new StepTrial(Vehicles.van(), "question");
        assertEquals(List.of("missing"), empty.faults());
        assertTrue(question(TEXT.split("; ")[0]).faults().contains("missing"), "no key words");
        assertEquals("bench.own.fault", empty.refused("words", "x".repeat(Question.LONGEST + 1)));
    }

    @Test
    void simulatedPeople_answerIt() {
        for (String fields : Arrays.asList(NUMBER, TORQUE, CHOICE, TEXT)) {
            StepTrial question = question(fields);
            assertEquals(0, question.losing(TryOut.Kind.CAREFUL, "answer"), fields);
            assertTrue(question.losing(TryOut.Kind.SLIP_PRONE, "answer") > 0, fields);
        }
    }
}
