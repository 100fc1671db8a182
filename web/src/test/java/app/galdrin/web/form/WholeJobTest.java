package app.galdrin.web.form;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The steps around the measuring are composed, sat and marked; a worn part stops the setting until the instructor has seen to it. */
@GaldrinTest
class WholeJobTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    private Centre centre;
    private Visitor teacher;
    private String draft = "";

    @BeforeEach
    void signIn() {
        centre = centres.plates();
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
    }

    private static String location(HttpResponse<String> response) {
        assertEquals(302, response.statusCode(), response.body());
        return response.headers().firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", "");
    }

    private String press(String name, String value) {
        HttpResponse<String> part = teacher.post(draft, Map.of(name, value, "part", "1"));
        assertEquals(200, part.statusCode(), name + " " + part.body());
        return part.body();
    }

    private TaskVersion set() {
        draft = location(teacher.post("/tasks/drafts", Map.of("start", "toe")));
        for (String kind : new String[] {
            "checklist:briefing", "jobCard", "condition", "standing", "question", "tightening", "roadTest"
        }) {
            String key = kind.substring(kind.indexOf(':') + 1);
            assertTrue(press("add", kind).contains("steps." + key + "."), kind + " is on the bench");
        }
        assertEquals(422, teacher.post(draft + "/set", Map.of()).statusCode(), "a question without words");
        press("steps.question.words", "Why is toe set last?");
        press("steps.question.why", "caster or camber");
        press("steps.jobCard.request", "It pulls to the left since the kerb.");
        press("steps.jobCard.repair", "trackRodEnd");
        press("steps.condition.worn", "rodEnd.left");
        String refused = press("steps.condition.frontPressure", "240");
        assertTrue(refused.contains("“240” was read. Enter 0.5 to 10 bar."), refused);
        press("steps.condition.frontPressure", "2.4");
        String fasteners = press("remove", "tightening");
        assertFalse(fasteners.contains("steps.tightening."), "this vehicle's sheet names none");
        String task = location(teacher.post(draft + "/set", Map.of()));
        TaskVersion version = tasks.task(centre.id(), UUID.fromString(task.replaceFirst(".*/", "")));
        tasks.preset(
                centre.id(),
                centre.instructor().personId(),
                version.id(),
                1,
                version.firstSheet().id(),
                null);
        tasks.open(centre.id(), centre.instructor().personId(), version.id());
        return version;
    }

    private static String write(Visitor apprentice, Sitting sitting, String line, String text) {
        return apprentice
                .postAsScript(
                        "/sittings/" + sitting.id() + "/entries",
                        Map.of("line", line, "text", text, "key", Ids.next().toString()))
                .body();
    }

    private Sitting begun() {
        var opening = tasks.current(centre.id(), set().id()).orElseThrow();
        return sittings.sitting(
                centre.apprentice(), sittings.begin(opening, centre.apprentice().personId(), 1));
    }

    @Test
    void onAPhone_everybodyReadsEachStep_andPlayCalls() {
        Sitting sitting = begun();
        try (Browser phone =
                new Browser(port, 390, 844).signIn(centre.apprentice().signIn(), Centre.PASSWORD)) {
            for (String step : new String[] {"briefing", "jobCard", "standing", "question", "roadTest", "condition"}) {
                phone.go("/sittings/" + sitting.id() + "?step=" + step);
                assertEquals(List.of(), phone.breaches(), step);
            }
            phone.click("[name='condition/rodEnd.left/0/0'][value=play]");
            phone.waitForText("[data-call] button", "Instructor called");
        }
    }

    @Test
    void theWholeJob_isComposed_satAndMarked_andAWornPartStopsTheSetting() {
        Sitting sitting = begun();
        Visitor apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String sheet = apprentice.get("/sittings/" + sitting.id()).body();
        for (String said : new String[] {
            "It pulls to the left since the kerb.",
            "Track-rod end, left",
            "Pressure, right rear tyre",
            "Why is toe set last?",
            "Handbrake",
            "Safety boots on",
            "Front toe: read for this repair?"
        }) {
            assertTrue(sheet.contains(said), said);
        }
        assertEquals(
                404,
                apprentice.get("/sittings/" + sitting.id() + "/job-card.pdf").statusCode(),
                "not before it is handed in");
        assertFalse(sheet.contains("caster or camber"), "what is right is not on the sheet");
        assertTrue(
                apprentice.get("/sittings/" + sitting.id() + "/vehicle").body().contains("Back to your sheet"));
        Visitor neighbour = new Visitor(port).signIn(centre.neighbour().signIn(), Centre.PASSWORD);
        assertEquals(
                404, neighbour.get("/sittings/" + sitting.id() + "/vehicle").statusCode());
        assertTrue(write(apprentice, sitting, "jobCard/vehicleNumber/0/0", "xx9ab12c0de34567")
                .contains("does not have 17"));
        assertTrue(write(apprentice, sitting, "jobCard/vehicleNumber/0/0", "xx9ab12c0de345678")
                .contains("XX9AB12C0DE345678: the check digit"));
        assertTrue(write(apprentice, sitting, "condition/pressure.front.left/0/0", "35 psi")
                .contains("2.41 bar"));
        assertTrue(write(apprentice, sitting, "condition/rodEnd.right/0/0", "tight")
                .contains("\"calls\":false"));
        assertTrue(
                write(apprentice, sitting, "condition/rodEnd.left/0/0", "play").contains("\"calls\":true"));
        assertTrue(sittings.sitting(centre.instructor(), sitting.id()).state().flagged());
        String move = "adjust/rod.front.left.way/0/1";
        assertTrue(
                write(apprentice, sitting, move, "leave").contains("You cannot adjust anything until your instructor"));
        teacher.post(
                "/sittings/" + sitting.id() + "/flag",
                Map.of("text", "answered", "key", Ids.next().toString(), "back", "/tasks"));
        assertTrue(write(apprentice, sitting, move, "leave").contains("\"ok\":true"));
        write(apprentice, sitting, "question/answer/0/0", "camber would move it");
        write(apprentice, sitting, "standing/underWheels/0/0", "bareFloor");
        write(apprentice, sitting, "standing/brake/0/0", "on");
        write(apprentice, sitting, "handIn/done/0/0", "done");
        String card = "/sittings/" + sitting.id() + "/job-card.pdf";
        assertEquals(404, apprentice.get(card).statusCode(), "an assessment can still be given back");
        assertTrue(teacher.get(card).body().startsWith("%PDF"));
        assertEquals(
                404,
                neighbour.get("/sittings/" + sitting.id() + "/job-card.pdf").statusCode());
        String desk = teacher.get("/marking/" + sitting.id()).body();
        for (String said : new String[] {
            "Track-rod end, left",
            "You answered: on",
            "Right is: off, out of gear",
            "On a bare floor you rock the vehicle to free the tyres",
            "Why is toe set last?"
        }) {
            assertTrue(desk.contains(said), said);
        }
    }
}
