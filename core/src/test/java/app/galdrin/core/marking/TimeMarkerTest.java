package app.galdrin.core.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.sitting.Answers;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.TaskFaultCode;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TimeMarkerTest {

    private static final Criterion.Id TIME = new Criterion.Id("handIn", Aspect.TIME);

    private static Practical limited(Optional<Integer> minutes) {
        Practical p = MarkerTest.read().practical();
        return new Practical(p.title(), p.school(), p.rule(), p.mode(), p.outcome(), minutes, p.steps(), p.scheme());
    }

    private static MarkLine line(Answers answers) {
        Bench bench = MarkerTest.read();
        Practical p = limited(Optional.of(60));
        Bench timed = Bench.of(p.with(SchemeDefaults.of(p, bench.assignment.sheet())), bench.assignment.sheet());
        return Marker.mark(timed.assignment, answers, References.none()).lines().stream()
                .filter(l -> l.criterion().equals(TIME))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({"0,1,true", "60,1,true", "75,0.5,true", "76,0.4666666,false", "90,0,false", "600,0,false"})
    void whatGoesBeyondTheLimit_losesStraightly_untilHalfAsMuchAgain(double minutes, double credit, boolean met) {
        MarkLine line = line(Answers.none().in(minutes));
        assertEquals(credit, line.credit(), 1e-6);
        assertEquals(met, line.met());
    }

    @Test
    void whoHasNotHandedIn_hasNoTimeYet() {
        assertTrue(line(Answers.none()).waiting());
    }

    @Test
    void withoutALimit_thereIsNothingToMark() {
        Practical endless = limited(Optional.empty());
        var sheet = MarkerTest.read().assignment.sheet();
        assertFalse(SchemeDefaults.of(endless, sheet).criterion(TIME).isPresent());
        Practical timed = limited(Optional.of(60));
        assertEquals(
                TaskFaultCode.NO_ASPECT,
                endless.with(SchemeDefaults.of(timed, sheet)).faults().get(0).reason());
    }
}
