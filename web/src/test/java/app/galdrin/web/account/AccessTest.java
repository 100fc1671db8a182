package app.galdrin.web.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Who may open what, over real requests. */
@GaldrinTest
class AccessTest {

    private static final String PASSWORD = "follow the string";

    @LocalServerPort
    private int port;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    private Visitor visitor() {
        return new Visitor(port);
    }

    private static String location(HttpResponse<String> response) {
        return response.headers().firstValue("Location").orElse("").replaceFirst("http://localhost:[0-9]+", "");
    }

    @ParameterizedTest
    @CsvSource({
        "m.aldous,/tasks,200",
        "m.aldous,/tasks/new,200",
        "m.aldous,/marking,200",
        "m.aldous,/people,200",
        "m.aldous,/help/style,200",
        "e.varga,/marking,200",
        "e.varga,/tasks,403",
        "e.varga,/people,403",
        "office,/people,200",
        "office,/marking,403",
        "b.lindqvist,/sittings,200",
        "b.lindqvist,/procedures,200",
        "office,/procedures/flags,200",
        "e.varga,/procedures/sweep/lying.svg,200",
        "b.lindqvist,/procedures/nonsense,404",
        "b.lindqvist,/procedures/flags/round.svg,404",
        "b.lindqvist,/tasks,403",
        "b.lindqvist,/marking,403",
        "b.lindqvist,/people,403",
        "b.lindqvist,/help/style,403",
        "m.aldous,/tasks/00000000-0000-0000-0000-000000000000,404",
        "m.aldous,/tasks/nonsense,404",
        "m.aldous,/nowhere,404",
        "m.aldous,/actuator/health,404",
    })
    void aRole_opensItsOwnPages(String who, String path, int status) {
        var response = visitor().signIn(who, PASSWORD).get(path);
        assertEquals(status, response.statusCode(), path);
        if (status >= 400) {
            assertTrue(response.body().contains("Galdrin") && !response.body().contains("Exception"), "own words");
        }
    }

    @ParameterizedTest
    @CsvSource({"/tasks", "/sittings", "/marking", "/people", "/help/style", "/sketches/x/plates.css", "/anything"})
    void nobody_isTakenToTheSignIn(String path) {
        var response = visitor().get(path);
        assertEquals(302, response.statusCode());
        assertEquals("/sign-in", location(response));
    }

    @Test
    void anApprentice_seesNeitherAnothersSheet_norItsFeedback_norAMarkBeforeRelease() {
        String others = jdbc.queryForObject(
                "select i.id from sitting i join person p on p.id = i.person_id where p.sign_in = 'r.haywood'",
                String.class);
        String own = jdbc.queryForObject(
                "select i.id from sitting i join person p on p.id = i.person_id where p.sign_in = 's.thorne' union all"
                        + " select i.id from sitting i join person p on p.id = i.person_id where p.sign_in = 'j.adeyemi' limit 1",
                String.class);
        var bo = visitor().signIn("b.lindqvist", PASSWORD);
        for (String page : new String[] {"", "?step=prepare", "/feedback"}) {
            assertEquals(404, bo.get("/sittings/" + others + page).statusCode(), page);
        }
        var form = Map.of(
                "line", "toe/hubGap.fl/1/0", "text", "60", "key", Ids.next().toString());
        assertEquals(
                404, bo.postAsScript("/sittings/" + others + "/entries", form).statusCode());
        var jory = visitor().signIn("j.adeyemi", PASSWORD).get("/sittings/" + own + "/feedback");
        assertTrue(jory.body().contains("is not released yet"));
        assertFalse(jory.body().contains("of 100 marks"));
    }

    /** An open sheet is written on by its apprentice; whoever else may see it looks. */
    @Test
    void whoOnlyLooksAtASheet_findsNothingToWriteIn() {
        var centre = centres.plates();
        var sitting = centre.sitting(tasks, sittings);
        for (var who : List.of(centre.apprentice(), centre.instructor())) {
            boolean writes = who.equals(centre.apprentice());
            String page = visitor()
                    .signIn(who.signIn(), Centre.PASSWORD)
                    .get("/sittings/" + sitting.id() + "?step=found")
                    .body();
            assertEquals(writes, page.contains("id=\"write\""), who.signIn());
            assertEquals(writes, page.contains("Call instructor"), who.signIn());
            assertEquals(!writes, page.contains("This is the sheet of First"), who.signIn());
            assertEquals(!writes, page.contains("readonly"), who.signIn());
        }
    }

    @ParameterizedTest
    @CsvSource({"measurement-record,toe.box.input", "task,galdrin.task"})
    void schemas_areOpenToOtherPrograms(String format, String names) {
        var response = visitor().get("/formats/" + format + ".schema.json");
        assertEquals(200, response.statusCode());
        assertEquals(
                "application/schema+json",
                response.headers().firstValue("Content-Type").orElse("").replaceFirst(";.*", ""));
        assertTrue(response.body().contains('"' + names + '"'));
    }

    /** Everyone who is signed in sees it at once. */
    @Test
    void lengths_areShownAsTheCentreChooses() {
        var maud = visitor().signIn("m.aldous", PASSWORD);
        var office = visitor().signIn("office", PASSWORD);
        assertEquals(
                400,
                maud.post("/people/units", Map.of("lengths", "cubits", "angles", "deg"))
                        .statusCode());
        assertEquals(
                403,
                visitor()
                        .signIn("b.lindqvist", PASSWORD)
                        .post("/people/units", Map.of("lengths", "in16", "angles", "degMin"))
                        .statusCode());
        try {
            assertEquals(
                    302,
                    maud.post("/people/units", Map.of("lengths", "in16", "angles", "degMin"))
                            .statusCode());
            assertTrue(maud.get("/people").body().contains("1\u00a03/16″ +0.14 mm"));
            assertTrue(office.get("/people").body().contains("1\u00a03/16″"));
        } finally {
            maud.post("/people/units", Map.of("lengths", "mm", "angles", "deg"));
        }
        assertTrue(maud.get("/people").body().contains("is shown as 30.3 mm"));
    }

    @Test
    void aVerifier_reads_butWritesNothing() {
        String sitting = jdbc.queryForObject(
                "select i.id from sitting i join person p on p.id = i.person_id where p.sign_in = 'r.haywood'",
                String.class);
        var edit = visitor().signIn("e.varga", PASSWORD);
        assertEquals(200, edit.get("/marking/" + sitting).statusCode());
        var form = Map.of(
                "criterion",
                "plan",
                "marks",
                "1",
                "reason",
                "x",
                "key",
                Ids.next().toString());
        assertEquals(403, edit.post("/marking/" + sitting + "/override", form).statusCode());
        int marks = jdbc.queryForObject(
                "select count(*) from entry where step = '_mark' and sitting_id = ?::uuid", Integer.class, sitting);
        assertEquals(0, marks);
    }

    @Test
    void headers_areStrict() {
        var headers = visitor().get("/sign-in").headers();
        String policy = headers.firstValue("Content-Security-Policy").orElseThrow();
        assertTrue(policy.contains("default-src 'none'") && !policy.contains("unsafe"));
        assertEquals("nosniff", headers.firstValue("X-Content-Type-Options").orElseThrow());
        assertEquals("DENY", headers.firstValue("X-Frame-Options").orElseThrow());
        assertTrue(headers.firstValue("X-Request-Id").isPresent());
    }

    @Test
    void aFormWithoutItsToken_isNotCarriedOut() {
        var maud = visitor().signIn("m.aldous", PASSWORD);
        int before = jdbc.queryForObject("select count(*) from person", Integer.class);
        maud.forgetToken();
        var form = Map.of("role", "OFFICE", "displayName", "X", "signIn", "x.x.x", "password", "long enough one");
        assertEquals("/sign-in?expired", location(maud.post("/people", form)));
        assertEquals(before, jdbc.queryForObject("select count(*) from person", Integer.class));
    }

    @Test
    void wrongPasswords_areLimitedPerAccount_andOthersGoOn() {
        for (int i = 0; i < 5; i++) {
            var wrong = visitor();
            wrong.get("/sign-in");
            assertEquals(
                    "/sign-in?wrong",
                    location(wrong.post("/sign-in", Map.of("signIn", "G.Sandvik", "password", "no" + i))));
        }
        var right = visitor();
        right.get("/sign-in");
        var form = Map.of("signIn", "g.sandvik", "password", PASSWORD);
        assertEquals("/sign-in?wait", location(right.post("/sign-in", form)));
        assertEquals(200, visitor().signIn("t.okonjo", PASSWORD).get("/tasks").statusCode());
    }

    @Test
    void aPassword_isStoredAsASlowHash_andNeverAsItself() {
        String hash = jdbc.queryForObject("select password_hash from person where sign_in = 'office'", String.class);
        assertTrue(hash.startsWith("$argon2id$"));
    }

    @Test
    void firstRun_isClosedOnceSomeoneIsThere() {
        assertEquals("/sign-in", location(visitor().get("/first-run")));
    }

    @Test
    void peopleForm_saysAllThatIsWrong_andKeepsWhatWasTyped() {
        var maud = visitor().signIn("m.aldous", PASSWORD);
        var form = Map.of("role", "APPRENTICE", "displayName", "", "signIn", "has space");
        var page = maud.post("/people", form);
        assertEquals(200, page.statusCode());
        assertTrue(page.body().contains("Fill in this field."));
        assertTrue(page.body().contains("without spaces"));
        assertTrue(page.body().contains("value=\"has space\""));
    }
}
