package app.galdrin.web.task;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import java.net.URI;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Tasks tried out by simulated people, beside everything else. */
@GaldrinTest
class TryOutTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private JdbcTemplate jdbc;

    private Centre centre;
    private Visitor teacher;

    @BeforeEach
    void signIn() {
        centre = centres.plates();
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
    }

    /** Before it is set, with nothing of the form lost; and what can't be set can't be tried. */
    @Test
    void aPractical_isTriedOut_asTheFormStands() {
        String draft = URI.create(teacher.post("/tasks/drafts", Map.of("start", "toe"))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .getPath();
        teacher.post(draft, Map.of("remove", "adjust"));
        teacher.post(draft, Map.of("remove", "plan"));
        String page = begun(teacher.post(draft + "/try", Map.of("title", "Plates, tried")));
        assertTrue(teacher.get(page).body().contains("Tried out: Plates, tried"));
        String tried = ready(page);
        assertTrue(tried.contains("The scheme separates good work from poor work"), tried);
        assertEquals(3, tried.split("class=\"mean\"", -1).length - 1);
        assertEquals(
                422,
                teacher.post(draft + "/try", Map.of("steps.toe.repeats", "none"))
                        .statusCode());
        Visitor stranger =
                new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
        assertEquals(404, stranger.get(page).statusCode());
        assertEquals(
                404,
                stranger.post("/tasks/" + centre.taskId() + "/try", Map.of()).statusCode());
    }

    /** One is at work in a centre at a time; the next begins by itself, also after the server of the first was stopped. */
    @Test
    void tryOuts_goInTurn_andOneThatAStoppedServerLeft_isGoneOnWith() {
        Map<String, String> nothing = Map.of();
        String first = begun(teacher.post("/tasks/" + centre.taskId() + "/try", nothing));
        String alone = ready(first);
        jdbc.update(
                "update try_out set state = 'working', result = null, done = 30, beat_at = clock_timestamp() - interval '1 hour' where id = ?",
                id(first));
        String second = begun(teacher.post("/tasks/" + centre.taskId() + "/try", nothing));
        assertEquals(marks(alone), marks(ready(first)), "the same seed does the same");
        assertEquals(marks(alone), marks(ready(second)));
        assertTrue(teacher.get("/tasks/" + centre.taskId()).body().contains(second), "it can be come back to");
        jdbc.update(
                "update try_out set state = 'working', result = null, beat_at = clock_timestamp() where id = ?",
                id(first));
        String third = begun(teacher.post("/tasks/" + centre.taskId() + "/try", nothing));
        assertTrue(teacher.get(third)
                .body()
                .contains("Your centre started 1 other try-out earlier. This one starts by itself after it."));
        String fourth = begun(teacher.post("/tasks/" + centre.taskId() + "/try", nothing));
        assertEquals(404, teacher.get(third).statusCode(), "he tries one thing out at a time");
        jdbc.update("update try_out set beat_at = clock_timestamp() - interval '1 hour' where id = ?", id(first));
        ready(first);
        ready(fourth);
    }

    private static String begun(HttpResponse<String> pressed) {
        assertEquals(302, pressed.statusCode(), pressed.body());
        String page = pressed.headers().firstValue("Location").orElseThrow();
        return page.substring(page.indexOf("/tasks/try-outs/"));
    }

    private String ready(String page) {
        String body = "";
        for (int tries = 0; !body.contains("data-settled"); tries++) {
            assertTrue(tries < 600, body);
            pause();
            body = teacher.get(page).body();
        }
        return body;
    }

    private static String marks(String page) {
        return page.substring(page.indexOf("tried-rows"));
    }

    private static UUID id(String page) {
        return UUID.fromString(page.replaceFirst(".*/", ""));
    }

    private static void pause() {
        try {
            Thread.sleep(100);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
