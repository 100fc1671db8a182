package app.galdrin.web.wheelnuts;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.TaskSchema;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A kind of step that is in this package alone goes from the bench to the desk. */
@GaldrinTest
class WheelNutsTest {

    private static final Criterion.Id COUNTED =
            Criterion.Id.parse("wheelNuts.done").orElseThrow();

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private SittingMarks sittingMarks;

    @Autowired
    private MarkSheets sheets;

    private Centre centre;
    private Visitor teacher;

    @BeforeEach
    void signIn() {
        centre = centres.plates();
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
    }

    private static String location(java.net.http.HttpResponse<String> response) {
        assertEquals(302, response.statusCode(), response.body());
        return response.headers().firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", "");
    }

    private String press(String draft, String name, String value) {
        return teacher.post(draft, Map.of(name, value, "part", "1")).body();
    }

    /** The task as it is composed and set on the bench, with five nuts. */
    private TaskVersion set() {
        String draft = location(teacher.post("/tasks/drafts", Map.of("start", "toe")));
        assertTrue(teacher.get(draft).body().contains("Count the wheel nuts"), "it can be added");
        String added = press(draft, "add", WheelNuts.KIND);
        assertTrue(added.contains("data-bench-step=\"wheelNuts\"") && added.contains("Nuts on the left front wheel"));
        String refused = press(draft, "steps.wheelNuts.nuts", "99");
        assertTrue(refused.contains("value=\"99\"") && refused.contains("“99” was read"), "kept, and said why not");
        assertEquals(422, teacher.post(draft + "/set", Map.of()).statusCode());
        press(draft, "steps.wheelNuts.nuts", "5");
        String task = location(teacher.post(draft + "/set", Map.of()));
        return tasks.task(centre.id(), UUID.fromString(task.replaceFirst(".*/", "")));
    }

    private Sitting begun(TaskVersion task, SignedIn who) {
        var opening = tasks.current(centre.id(), task.id()).orElseThrow();
        return sittings.sitting(who, sittings.begin(opening, who.personId(), 1));
    }

    private static String write(Visitor apprentice, Sitting sitting, String line, String text) {
        return apprentice
                .postAsScript(
                        "/sittings/" + sitting.id() + "/entries",
                        Map.of("line", line, "text", text, "key", Ids.next().toString()))
                .body();
    }

    private MarkLine marked(Sitting sitting) {
        Sitting now = sittings.sitting(centre.instructor(), sitting.id());
        Log log = sittings.log(centre.id(), sitting.id());
        return sheets.toShow(now, log, sittingMarks.references(now, log)).lines().stream()
                .filter(l -> l.criterion().equals(COUNTED))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aKindOfStepFromOnePackage_isSet_sat_andMarked() {
        TaskVersion task = set();
        assertEquals(
                new WheelNuts("wheelNuts", 5),
                task.practical().step("wheelNuts").orElseThrow());
        assertTrue(TaskSchema.text().contains("#/$defs/wheelNuts"));

        tasks.preset(
                centre.id(),
                centre.instructor().personId(),
                task.id(),
                1,
                task.firstSheet().id(),
                null);
        tasks.open(centre.id(), centre.instructor().personId(), task.id());
        Sitting sitting = begun(task, centre.apprentice());
        Visitor apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String sheet =
                apprentice.get("/sittings/" + sitting.id() + "?step=wheelNuts").body();
        assertTrue(sheet.contains("name=\"wheelNuts/nuts/0/0\"") && sheet.contains("Nuts on the left front wheel"));
        String refused = write(apprentice, sitting, "wheelNuts/nuts/0/0", "some");
        assertTrue(refused.contains("\"ok\":false") && refused.contains("some"), refused);
        String echoed = write(apprentice, sitting, "wheelNuts/nuts/0/0", "6");
        assertTrue(echoed.contains("\"ok\":true") && echoed.contains("\"number\":6"), echoed);
        assertEquals(0, marked(sitting).credit(), "there are five");

        Sitting other = begun(task, centre.neighbour());
        Visitor neighbour = new Visitor(port).signIn(centre.neighbour().signIn(), Centre.PASSWORD);
        neighbour.get("/sittings/" + other.id());
        write(neighbour, other, "wheelNuts/nuts/0/0", "5");
        write(neighbour, other, "handIn/done/0/0", "done");
        assertEquals(1, marked(other).credit());
        String desk = teacher.get("/marking/" + other.id()).body();
        assertTrue(desk.contains("Wheel nuts counted"), desk);
    }

    @Test
    void simulatedPeople_writeIt_someWithASlip() {
        TaskVersion task = set();
        var tried = TryOut.of(Assignment.of(task.practical(), task.firstSheet().sheet()), 40, 1);
        assertEquals(0, tried.get(TryOut.Kind.CAREFUL).losing(COUNTED));
        assertTrue(tried.get(TryOut.Kind.SLIP_PRONE).losing(COUNTED) > 0);
    }
}
