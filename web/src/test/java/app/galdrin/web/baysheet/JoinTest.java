package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Joining by the code on the instructor's screen. */
@GaldrinTest
class JoinTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    private Centre centre;

    @BeforeEach
    void open() {
        centre = centres.plates();
    }

    private Visitor atTheDoor() {
        var visitor = new Visitor(port);
        visitor.get("/join?code=" + centre.code());
        return visitor;
    }

    private Map<String, String> form(String person, String bay) {
        return Map.of("code", centre.code(), "person", person, "bay", bay);
    }

    @Test
    void aName_isTakenOnce_andTheSheetIsTheJoinersOwn() {
        String who = centre.apprentice().personId().toString();
        var first = atTheDoor();
        var joined = first.post("/join", form(who, "4"));
        assertEquals(302, joined.statusCode());
        String sheet = joined.headers().firstValue("Location").orElseThrow().replaceFirst("http://[^/]+", "");
        assertTrue(first.get(sheet).body().contains("Prepare"));
        assertEquals(403, first.get("/tasks").statusCode());

        var second = atTheDoor();
        var refused = second.post("/join", form(who, "4"));
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("Choose your own name"));
        assertFalse(refused.body().contains(centre.apprentice().displayName()), "the name is no longer offered");
        assertEquals(302, second.get(sheet).statusCode());
        assertEquals(
                "/sign-in",
                second.get(sheet).headers().firstValue("Location").orElseThrow().replaceFirst("http://[^/]+", ""));
    }

    @Test
    void aSessionByCode_seesOneOpeningOnly() {
        var sittingOfNow = centre.sitting(tasks, sittings);
        tasks.close(centre.id(), centre.taskId());
        tasks.open(centre.id(), centre.instructor().personId(), centre.taskId());
        String code = tasks.current(centre.id(), centre.taskId()).orElseThrow().code();
        var visitor = new Visitor(port);
        visitor.get("/join?code=" + code);
        String who = centre.apprentice().personId().toString();
        assertEquals(
                302,
                visitor.post("/join", Map.of("code", code, "person", who, "bay", ""))
                        .statusCode());
        assertEquals(404, visitor.get("/sittings/" + sittingOfNow.id()).statusCode());
    }

    @Test
    void aPersonOfAnotherCentre_isNotLetIn() {
        var elsewhere = centres.plates();
        var refused =
                atTheDoor().post("/join", form(elsewhere.apprentice().personId().toString(), "1"));
        assertEquals(422, refused.statusCode());
    }

    @Test
    void aBay_isANumber_andWhatWasTypedIsKept() {
        var refused =
                atTheDoor().post("/join", form(centre.apprentice().personId().toString(), "B4"));
        assertEquals(422, refused.statusCode());
        assertTrue(
                refused.body().contains("The bay is a number") && refused.body().contains("value=\"B4\""));
    }

    @Test
    void aClosedTask_letsNobodyIn() {
        tasks.close(centre.id(), centre.taskId());
        assertEquals(422, new Visitor(port).get("/join?code=" + centre.code()).statusCode());
    }

    @Test
    void openingTwice_keepsTheCode() {
        var again = tasks.open(centre.id(), centre.instructor().personId(), centre.taskId());
        assertEquals(centre.code(), again.code());
    }
}
