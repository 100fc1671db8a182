package app.galdrin.web.task;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.ToeAsked;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import java.net.URI;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Setting a task over real requests. */
@GaldrinTest
class TaskBenchTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    private Centre centre;
    private Visitor teacher;

    @BeforeEach
    void signIn() {
        centre = centres.plates();
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
    }

    private TaskVersion set(Map<String, String> form) {
        var response = teacher.post("/tasks/new", form);
        assertEquals(302, response.statusCode(), response.body());
        String path = URI.create(response.headers().firstValue("Location").orElseThrow())
                .getPath();
        return tasks.task(centre.id(), UUID.fromString(path.substring(path.lastIndexOf('/') + 1)));
    }

    @Test
    void anEmptyForm_setsTheMethodsDefaults() {
        var task = set(Map.of());
        assertEquals(ToeMethods.of("strings"), task.toe().method());
        assertEquals(ToeAsked.TOTAL_AND_EACH, task.toe().asked());
        assertEquals("Front toe: Two parallel strings", task.title());
        assertTrue(task.toe().scheme().mustPass().contains(Criterion.CRITICAL_STEPS));
        assertEquals(
                100,
                task.toe().scheme().marks().values().stream().mapToInt(m -> m).sum());
    }

    @Test
    void everythingChosen_isWhatIsSet() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("scheme", "1");
        form.put("title", "  Plates, guarded  ");
        form.put("asked", "total");
        form.put("method", "plates");
        form.put("repeats", "3");
        form.put("unit", "mm");
        form.put("rule", "guarded");
        form.put("mode", "practice");
        form.put("outcome", "graded");
        form.put("marks.plan", "0");
        form.put("marks.working", "40");
        form.put("must.working", "on");
        form.put("band.reading", "0°06'");
        form.put("slipKeeps", "25");
        var task = set(form);
        assertEquals("Plates, guarded", task.title());
        assertEquals(3, task.toe().repeats());
        assertEquals(AnswerUnit.MILLIMETRES, task.toe().answerUnit());
        assertEquals(DecisionRule.GUARDED, task.toe().rule());
        assertEquals(Mode.PRACTICE, task.mode());
        assertEquals(OutcomeSchool.GRADED, task.outcome());
        var scheme = task.toe().scheme();
        assertFalse(scheme.isMarked(Criterion.PLAN));
        assertEquals(40, scheme.marksFor(Criterion.WORKING));
        assertEquals(Set.of(Criterion.WORKING), scheme.mustPass());
        assertEquals(Math.toRadians(0.1), scheme.reading().full(), 1e-12);
        assertEquals(25, scheme.slipKeepsPercent());
    }

    @Test
    void thePreview_followsTheForm_andRefusesABlindMethodWithItsReason() {
        String preview = teacher.get("/tasks/new?preview=1&method=plates&asked=totalAndEach")
                .body();
        assertTrue(preview.startsWith("<aside") && preview.contains("Plates see the total alone"));
        assertFalse(teacher.get("/tasks/new?preview=1&method=plates&asked=total")
                .body()
                .contains("Plates see"));
    }

    @Test
    void aSheetOrClassOfAnotherCentre_isNotAChoice() {
        var elsewhere = centres.plates();
        String sheet =
                tasks.task(elsewhere.id(), elsewhere.taskId()).sheet().id().toString();
        var response = teacher.post("/tasks/new", Map.of("sheet", sheet));
        assertEquals(422, response.statusCode());
        assertEquals(404, teacher.get("/tasks/" + elsewhere.taskId()).statusCode());
        assertEquals(404, teacher.get("/sketches/" + sheet + "/plates.css").statusCode());
    }
}
