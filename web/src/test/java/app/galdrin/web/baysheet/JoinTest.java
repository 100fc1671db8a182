package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

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

    @Autowired
    private JdbcTemplate jdbc;

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
        String sheet = location(joined);
        assertTrue(first.get(sheet).body().contains("Prepare"));
        assertEquals(403, first.get("/tasks").statusCode());

        var second = atTheDoor();
        var refused = second.post("/join", form(who, "4"));
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("Choose your own name"));
        assertFalse(refused.body().contains(centre.apprentice().displayName()), "the name is no longer offered");
        assertEquals(302, second.get(sheet).statusCode());
        assertEquals("/sign-in", location(second.get(sheet)));
    }

    /** Whoever signed in by password finds the own name chosen, keeps all pages, and is led back when the code is typed again. */
    @Test
    void aSignedInApprentice_joinsAsHimself_andStaysSignedIn() {
        var person = centre.apprentice();
        var visitor = new Visitor(port).signIn(person.signIn(), Centre.PASSWORD);
        String page = visitor.get("/join?code=" + centre.code()).body();
        assertTrue(page.contains("value=\"" + person.personId() + "\" checked=\"checked\""));
        String sheet = location(visitor.post("/join", form(person.personId().toString(), "")));
        assertEquals(200, visitor.get("/procedures").statusCode());
        assertTrue(visitor.get("/join?code=" + centre.code()).body().contains("href=\"" + sheet + "\""));
        var again = visitor.post("/join", form(person.personId().toString(), ""));
        assertEquals(sheet, location(again), "pressed twice");
        assertFalse(atTheDoor().get("/join?code=" + centre.code()).body().contains(sheet));
    }

    /** In gloves: the second tap must not break off the answer that brings the session. */
    @Test
    void whoTapsTwice_joinsOnce_andIsIn() {
        try (var browser = new Browser(port, 390, 844)) {
            browser.go("/join?code=" + centre.code());
            browser.click("input[value='" + centre.apprentice().personId() + "']");
            browser.slow(Duration.ofMillis(400));
            browser.tapTwice("main form .btn-ink");
            browser.waitFor(() -> browser.path().startsWith("/sittings/"));
            assertTrue(browser.has("#step-prepare"));
        }
    }

    /** The same browser gets in once more for ten minutes; another one, or whoever has a session by now, does not. */
    @Test
    void anAnswerThatGotLost_isHadAgain() {
        String who = centre.apprentice().personId().toString();
        String offered = "value=\"" + who + "\"";
        var first = atTheDoor();
        String sheet = location(first.post("/join", form(who, "4")));
        assertFalse(first.get("/join?code=" + centre.code()).body().contains(offered));
        first.losesSession();
        assertEquals(302, first.get(sheet).statusCode());

        assertTrue(first.get("/join?code=" + centre.code()).body().contains(offered));
        assertEquals(sheet, location(first.post("/join", form(who, "4"))));
        assertEquals(200, first.get(sheet).statusCode());

        var other = atTheDoor();
        assertFalse(other.get("/join?code=" + centre.code()).body().contains(offered));
        assertEquals(422, other.post("/join", form(who, "4")).statusCode());

        first.losesSession();
        jdbc.update("update sitting_join set joined_at = joined_at - interval '11 minutes'");
        assertFalse(first.get("/join?code=" + centre.code()).body().contains(offered));
        assertEquals(422, first.post("/join", form(who, "4")).statusCode());
    }

    /** On a tablet that is handed on: whoever has signed out is not offered to the next. */
    @Test
    void whoSignsOut_isNotHadAgain() {
        String who = centre.apprentice().personId().toString();
        var tablet = atTheDoor();
        tablet.get(location(tablet.post("/join", form(who, "4"))));
        assertEquals("/sign-in?out", location(tablet.post("/sign-out", Map.of())));
        String page = tablet.get("/join?code=" + centre.code()).body();
        assertFalse(page.contains("value=\"" + who + "\""));
        assertTrue(page.contains("value=\"" + centre.neighbour().personId() + "\""));
        assertEquals(422, tablet.post("/join", form(who, "4")).statusCode());
    }

    /** Sent again and again by a browser that hears nothing, all of it arrives at once. */
    @Test
    void oneBrowsersTriesAtOneInstant_makeOneSheet() throws Exception {
        var form = form(centre.apprentice().personId().toString(), "4");
        var visitor = atTheDoor();
        List<String> sheets = together(Collections.nCopies(6, () -> location(visitor.post("/join", form))));
        assertEquals(Collections.nCopies(6, sheets.get(0)), sheets);
        assertEquals(200, visitor.get(sheets.get(0)).statusCode());
    }

    private static String location(HttpResponse<String> response) {
        return response.headers().firstValue("Location").orElseThrow().replaceFirst("http://[^/]+", "");
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

    /** A session by code opens its sitting and what the sitting is drawn with, and no page that an apprentice sees besides. */
    @ParameterizedTest
    @CsvSource({
        "/, 302",
        "/sittings, 200",
        "/vehicles, 403",
        "/procedures, 200",
        "/procedures/sweep, 200",
        "/tasks, 403",
        "/people, 403",
        "/marking, 403"
    })
    void aSessionByCode_opensNothingElse(String path, int status) {
        var visitor = atTheDoor();
        visitor.post("/join", form(centre.apprentice().personId().toString(), ""));
        assertEquals(status, visitor.get(path).statusCode());
    }

    /** Neither offered nor let in: a code is no way to an instructor's session. */
    @Test
    void anInstructorInAClass_canNotBeJoinedAs() {
        UUID teacher = centre.instructor().personId();
        jdbc.update(
                "insert into class_member (centre_id, class_id, person_id) select centre_id, class_id, ? from class_member"
                        + " where centre_id = ? limit 1",
                teacher,
                centre.id());
        assertFalse(new Visitor(port)
                .get("/join?code=" + centre.code())
                .body()
                .contains(centre.instructor().displayName()));
        assertEquals(
                422, atTheDoor().post("/join", form(teacher.toString(), "")).statusCode());
        var maud = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        maud.get("/people");
        assertEquals(
                404,
                maud.post("/people/classes", Map.of("name", "Staff", "members", teacher.toString()))
                        .statusCode());
        assertFalse(maud.get("/people").body().contains("Staff"));
    }

    @Test
    void aName_isTakenOnce_alsoAtTheSameInstant() throws Exception {
        List<Callable<Integer>> devices = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            var visitor = atTheDoor();
            devices.add(() -> visitor.post(
                            "/join", form(centre.apprentice().personId().toString(), ""))
                    .statusCode());
        }
        assertEquals(1, Collections.frequency(together(devices), 302));
    }

    /** Somebody takes a second name on his device: nobody can forbid it, and the instructor sees it. */
    @Test
    void twoNamesOfOneBrowser_areShownToTheInstructor() {
        var tablet = atTheDoor();
        tablet.post("/join", form(centre.apprentice().personId().toString(), ""));
        tablet.losesSession();
        tablet.get("/join?code=" + centre.code());
        tablet.post("/join", form(centre.neighbour().personId().toString(), ""));
        String page = new Visitor(port)
                .signIn(centre.instructor().signIn(), Centre.PASSWORD)
                .get("/tasks/" + centre.taskId())
                .body();
        assertTrue(
                page.contains(
                        "joined on the same device as " + centre.neighbour().displayName()),
                page);
        assertTrue(page.contains(
                "joined on the same device as " + centre.apprentice().displayName()));

        var other = centres.plates();
        var apart = new Visitor(port);
        for (var who : List.of(other.apprentice(), other.neighbour())) {
            apart.get("/join?code=" + other.code());
            apart.post(
                    "/join",
                    Map.of("code", other.code(), "person", who.personId().toString(), "bay", ""));
            apart.get("/sittings");
            assertEquals("/sign-in?out", location(apart.post("/sign-out", Map.of())));
        }
        assertFalse(
                new Visitor(port)
                        .signIn(other.instructor().signIn(), Centre.PASSWORD)
                        .get("/tasks/" + other.taskId())
                        .body()
                        .contains("same device"),
                "a tablet that is handed on after signing out is nobody's");
    }

    /** Whoever types the right code gets in, however many wrong ones came from his workshop; wrong ones wait for one another. */
    @Test
    void manyWrongCodes_areSlow_andKeepNobodyOut() throws Exception {
        for (int i = 0; i < 35; i++) {
            new Visitor(port).get("/join?code=WRONG" + i);
        }
        try {
            long begun = System.nanoTime();
            List<Callable<Integer>> guesses = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                String path = "/join?code=NONE" + i;
                guesses.add(() -> new Visitor(port).get(path).statusCode());
            }
            assertEquals(List.of(422, 422, 422, 422), together(guesses));
            assertTrue(System.nanoTime() - begun >= 4 * 250_000_000L, "one after another");
            guesses.clear();
            for (int i = 0; i < 45; i++) {
                String path = "/join?code=" + (i < 25 ? "NONE" + i : centre.code());
                guesses.add(() -> new Visitor(port).get(path).statusCode());
            }
            assertEquals(20, Collections.frequency(together(guesses), 200), "a right code never waits for them");
        } finally {
            jdbc.update("delete from attempt_count where kind = 'join'");
        }
    }

    private static <T> List<T> together(List<Callable<T>> all) throws Exception {
        var pool = Executors.newFixedThreadPool(all.size());
        try {
            List<T> answers = new ArrayList<>();
            for (var answer : pool.invokeAll(all)) {
                answers.add(answer.get());
            }
            return answers;
        } finally {
            pool.shutdown();
        }
    }

    @Test
    void aPersonOfAnotherCentre_isNotLetIn() {
        var elsewhere = centres.plates();
        var refused =
                atTheDoor().post("/join", form(elsewhere.apprentice().personId().toString(), "1"));
        assertEquals(422, refused.statusCode());
    }

    @Test
    void wheresTheVehicle_isAChoiceOfBaysThatExist_andOneAloneIsNoQuestion() {
        assertFalse(new Visitor(port).get("/join?code=" + centre.code()).body().contains("name=\"bay\""));
        centres.otherVehicle(centre, 2);
        String me = centre.apprentice().personId().toString();
        for (String bay : List.of("", "B4", "7")) {
            var refused = atTheDoor().post("/join", form(me, bay));
            assertEquals(422, refused.statusCode(), bay);
            assertTrue(refused.body().contains("Choose the bay of your vehicle."), bay);
            assertTrue(refused.body().contains("value=\"" + me + "\" checked"), bay);
        }
        assertEquals(302, atTheDoor().post("/join", form(me, "2")).statusCode());
        assertEquals(2, sittings.ofTask(centre.id(), centre.taskId()).get(0).bay());
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
