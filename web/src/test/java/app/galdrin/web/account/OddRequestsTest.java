package app.galdrin.web.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What no page of ours sends, and somebody does. */
@GaldrinTest
class OddRequestsTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private JdbcTemplate jdbc;

    private Centre centre;
    private Sitting sitting;
    private Visitor apprentice;

    @BeforeEach
    void signIn() {
        centre = centres.plates();
        sitting = centre.sitting(tasks, sittings);
        apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
    }

    private HttpResponse<String> entry(String text) {
        return apprentice.postAsScript(
                "/sittings/" + sitting.id() + "/entries",
                Map.of(
                        "line",
                        "found/frontDistance/1/0",
                        "text",
                        text,
                        "key",
                        Ids.next().toString()));
    }

    /** A figure sent twice is none, least of all one with a decimal comma. */
    @Test
    void aParameterSentTwice_isRefused() {
        assertEquals(
                400,
                apprentice
                        .postAsScript(
                                "/sittings/" + sitting.id() + "/entries?text=12&text=5",
                                Map.of(
                                        "line",
                                        "found/frontDistance/1/0",
                                        "key",
                                        Ids.next().toString()))
                        .statusCode());
        assertTrue(sittings.log(centre.id(), sitting.id()).entries().isEmpty());
    }

    @Test
    void whatNobodySees_isTakenOut() {
        assertTrue(entry("1\u0000500\u200B").body().contains("\"ok\":true"));
        assertEquals(
                "1500", sittings.log(centre.id(), sitting.id()).entries().get(0).written());
        var teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        teacher.get("/people");
        String name = "Ada\u200B Test\u202E\u0007";
        var form = Map.of(
                "role", "APPRENTICE", "displayName", name, "signIn", "ada." + Ids.next(), "password", "long enough 1");
        assertEquals(302, teacher.post("/people", form).statusCode());
        assertTrue(teacher.get("/people").body().contains(">Ada Test<"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"field.x", "{0}", "{x}", "${7*7}", "#{field.empty}", "'", "\\", "%00", "1e999", "+", "٣"})
    void aTextLikeAnything_getsItsSentence(String text) {
        HttpResponse<String> answer = entry(text);
        assertEquals(200, answer.statusCode());
        assertTrue(answer.body().contains("\"ok\":false"), answer.body());
        assertEquals(200, apprentice.get("/sittings/" + sitting.id()).statusCode());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "//evil.example/",
                "/\r\nSet-Cookie: a=b",
                "/{x}",
                "https://evil.example",
                "/tasks/../sign-out",
                ""
            })
    void aWayBack_isOneOfOurs(String back) {
        var answer = apprentice.post(
                "/sittings/" + sitting.id() + "/flag",
                Map.of("text", "raised", "key", Ids.next().toString(), "back", back));
        assertEquals(302, answer.statusCode());
        assertTrue(answer.headers().firstValue("Location").orElseThrow().endsWith("/sittings/" + sitting.id()));
        assertTrue(answer.headers()
                .firstValue("Set-Cookie")
                .filter(c -> c.startsWith("a="))
                .isEmpty());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "x",
                "\u0000",
                "not-a-session",
                "'; drop table person; --",
                "12345678-1234-1234-1234-12345678901Z"
            })
    void aSessionThatIsNone_isNoSession(String id) throws Exception {
        String cookie = Base64.getEncoder().encodeToString(id.getBytes(StandardCharsets.UTF_8));
        for (String value : new String[] {cookie, "%%%", "-"}) {
            var request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/tasks"))
                    .header("Cookie", "SESSION=" + value)
                    .build();
            var answer = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
            assertEquals(302, answer.statusCode());
        }
    }

    /** A stranger costs no row, is sent nowhere but here, and every cookie stays with this site; after signing in he is where he wanted to be. */
    @Test
    void aStranger_leavesNothingBehind() {
        Integer before = sessions();
        for (int i = 0; i < 20; i++) {
            var answer = new Visitor(port).get("/vehicles?a=" + i);
            assertEquals("/sign-in", answer.headers().firstValue("Location").orElseThrow());
            answer.headers().allValues("Set-Cookie").forEach(c -> assertTrue(c.contains("SameSite=Lax"), c));
        }
        assertEquals(before, sessions());
        var visitor = new Visitor(port);
        visitor.get("/vehicles");
        visitor.get("/sign-in");
        var in = visitor.post("/sign-in", Map.of("signIn", centre.apprentice().signIn(), "password", Centre.PASSWORD));
        assertTrue(in.headers().firstValue("Location").orElseThrow().endsWith("/vehicles"), in::toString);
        in.headers().allValues("Set-Cookie").forEach(c -> assertTrue(c.contains("SameSite=Lax"), c));
    }

    private Integer sessions() {
        return jdbc.queryForObject("select count(*) from spring_session", Integer.class);
    }

    @Test
    void aSignIn_withoutItsFields_isAWrongOne() {
        var visitor = new Visitor(port);
        visitor.get("/sign-in");
        for (Map<String, String> form : List.of(
                Map.<String, String>of(),
                Map.of("signIn", "\u0000"),
                Map.of("signIn", "a".repeat(5000), "password", "b".repeat(5000)))) {
            var answer = visitor.post("/sign-in", form);
            assertTrue(answer.headers().firstValue("Location").orElseThrow().contains("/sign-in?w"), answer::toString);
        }
        assertFalse(visitor.get("/sign-in").body().contains("Exception"));
    }
}
