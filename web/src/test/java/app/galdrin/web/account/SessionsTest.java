package app.galdrin.web.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.NewEntry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Sessions follow their person. */
@GaldrinTest
class SessionsTest {

    private static final Pattern ONE_TIME = Pattern.compile("[a-z2-9]{4}-[a-z2-9]{4}-[a-z2-9]{4}");
    private static final String NEW = "quite another one";

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Office office;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private Entries write;

    private Centre centre;

    @BeforeEach
    void open() {
        centre = centres.plates();
    }

    private Visitor signedIn(SignedIn who) {
        return new Visitor(port).signIn(who.signIn(), Centre.PASSWORD);
    }

    private static String location(HttpResponse<String> response) {
        return response.headers().firstValue("Location").orElse("");
    }

    private Visitor joined() {
        var visitor = new Visitor(port);
        visitor.get("/join?code=" + centre.code());
        String who = centre.apprentice().personId().toString();
        visitor.post("/join", Map.of("code", centre.code(), "person", who, "bay", ""));
        return visitor;
    }

    /** What ends a session. */
    enum End {
        DEACTIVATED,
        RESET,
        ANOTHER_ROLE,
        OWN_PASSWORD,
        CLOSED;

        void happen(SessionsTest test) {
            SignedIn teacher = test.centre.instructor();
            UUID who = test.centre.apprentice().personId();
            switch (this) {
                case DEACTIVATED -> test.office.activate(teacher, who, false);
                case RESET ->
                    assertTrue(ONE_TIME.matcher(test.office.reset(teacher, who)).matches());
                case ANOTHER_ROLE -> test.office.giveRole(teacher, who, Role.VERIFIER);
                case OWN_PASSWORD -> {
                    var own = test.signedIn(test.centre.apprentice());
                    own.get("/me/password");
                    assertEquals(
                            "/me",
                            location(own.post("/me/password", Map.of("before", Centre.PASSWORD, "password", NEW))));
                    assertEquals(200, own.get("/me").statusCode(), "the one that chose it goes on");
                }
                case CLOSED -> test.tasks.close(test.centre.id(), test.centre.taskId());
            }
        }
    }

    /** At once, on the page and for the script; what was written before still arrives for 12 hours, and nothing else does. */
    @ParameterizedTest
    @EnumSource(End.class)
    void whatEndsASession_endsItAtOnce_andLetsItDeliver(End end) {
        var visitor = joined();
        String sheet = "/sittings/" + centre.sitting(tasks, sittings).id();
        String other = "/sittings/"
                + centre.sitting(tasks, sittings, centre.neighbour()).id();
        visitor.get(sheet + "?step=found");
        Instant before = Instant.now();
        assertEquals(
                200, visitor.postAsScript(sheet + "/entries", entry(before)).statusCode());
        end.happen(this);

        for (String page : new String[] {sheet, "/sittings", "/"}) {
            assertEquals("/sign-in?ended", location(visitor.get(page)), page);
        }
        Map<String, String> threeSecondsOnTheLine = new HashMap<>(entry(before));
        threeSecondsOnTheLine.put(
                "sentAt", String.valueOf(Instant.now().minusSeconds(3).toEpochMilli()));
        assertEquals(
                200,
                visitor.postAsScript(sheet + "/entries", threeSecondsOnTheLine).statusCode());
        Instant after = Instant.now().plusSeconds(5);
        assertEquals(401, visitor.postAsScript(sheet + "/entries", entry(after)).statusCode());
        assertEquals(401, visitor.postAsScript(sheet + "/entries", flag(before)).statusCode());
        assertEquals(302, visitor.post(sheet, Map.of("step", "found")).statusCode());
        assertEquals(
                404, visitor.postAsScript(other + "/entries", entry(before)).statusCode());
        assertEquals(2, entries(sheet));

        String past = "update person set ended_at = ended_at - interval '13 hours' where centre_id = ?";
        String closed = "update opening set closed_at = closed_at - interval '13 hours' where centre_id = ?";
        jdbc.update(past, centre.id());
        jdbc.update(closed, centre.id());
        Instant longAgo = before.minus(Duration.ofHours(14));
        assertEquals(
                401, visitor.postAsScript(sheet + "/entries", entry(longAgo)).statusCode());
        assertEquals(2, entries(sheet));
    }

    private static Map<String, String> entry(Instant writtenAt) {
        return entry("found/rearDistance/1/0", "1904.5", writtenAt);
    }

    /** Whoever was put out dates nothing back: he hands nothing in, strikes nothing that came later, and what he sends waits for a word. */
    @Test
    void anEndedSession_handsNothingIn_strikesNothingLater_andWhatItSendsWaits() {
        var ended = joined();
        Sitting sitting = centre.sitting(tasks, sittings);
        String entries = "/sittings/" + sitting.id() + "/entries";
        ended.get("/sittings/" + sitting.id() + "?step=found");
        Instant before = Instant.now();
        office.reset(centre.instructor(), centre.apprentice().personId());

        assertFalse(isWritten(ended.postAsScript(entries, entry("handIn/done/0/0", "done", before))));
        assertTrue(isWritten(ended.postAsScript(entries, entry("found/rearDistance/1/0", "1904.5", before))));
        Log log = sittings.log(centre.id(), sitting.id());
        assertEquals(1, log.lateWaiting().size());
        assertEquals(0, log.answers().standing().size(), "it counts once the instructor admits it");
        assertFalse(sittings.sitting(centre.instructor(), sitting.id()).state().handedIn());

        LineKey front = LineKey.parse("found/frontDistance/1/0").orElseThrow();
        String key = Ids.next().toString();
        write.write(centre.apprentice(), sitting, NewEntry.now(front, "1905", List.of(), key, "anew"));
        Map<String, String> strike = new HashMap<>(entry(front.key(), "", before));
        strike.putAll(Map.of("strike", "true", "saw", key));
        assertFalse(isWritten(ended.postAsScript(entries, strike)));
        assertTrue(sittings.log(centre.id(), sitting.id()).at(front).isPresent());
    }

    private static boolean isWritten(HttpResponse<String> answer) {
        assertEquals(200, answer.statusCode());
        return answer.body().contains("\"ok\":true");
    }

    private static Map<String, String> flag(Instant writtenAt) {
        return entry("_staff/needsYou/0/0", "raised", writtenAt);
    }

    private static Map<String, String> entry(String line, String text, Instant writtenAt) {
        String sentAt = String.valueOf(Instant.now().toEpochMilli());
        return Map.of(
                "line",
                line,
                "text",
                text,
                "key",
                Ids.next().toString(),
                "writtenAt",
                String.valueOf(writtenAt.toEpochMilli()),
                "sentAt",
                sentAt);
    }

    private int entries(String sheet) {
        return jdbc.queryForObject(
                "select count(*) from entry where sitting_id = ?::uuid", Integer.class, sheet.substring(10));
    }

    @Test
    void aClosing_isTakenBack_andWhoHadJoinedGoesOn() {
        var visitor = joined();
        tasks.close(centre.id(), centre.taskId());
        assertEquals("/sign-in?ended", location(visitor.get("/sittings")));
        var teacher = signedIn(centre.instructor());
        assertTrue(teacher.get("/tasks/" + centre.taskId()).body().contains("Reopen"));
        teacher.post("/tasks/" + centre.taskId() + "/reopen", Map.of());
        assertEquals(200, visitor.get("/sittings").statusCode());
        assertEquals(
                centre.code(),
                tasks.current(centre.id(), centre.taskId()).orElseThrow().code());
    }

    /** By what a ticket says and when. Twelve hours at most, however much it is used; then only what an apprentice wrote. */
    @ParameterizedTest
    @CsvSource({
        "APPRENTICE, 11, ROLE",
        "APPRENTICE, 13, DELIVERY",
        "APPRENTICE, 25, ''",
        "INSTRUCTOR, 11, ROLE",
        "INSTRUCTOR, 13, ''"
    })
    void aSession_lastsItsTime(Role role, int hours, String access) {
        SignedIn who = role == Role.APPRENTICE ? centre.apprentice() : centre.instructor();
        Instant began = Instant.now();
        var ticket =
                new Ticket(Ids.next(), who.personId(), who.centreId(), role, who.stamp(), null, began, "::1", "desk");
        Optional<SignedIn> then = sessions.follow(ticket, began.plus(Duration.ofHours(hours)));
        assertEquals(access, then.map(p -> p.access().name()).orElse(""));
    }

    @Test
    void aOneTimePassword_opensOnlyTheChoiceOfAnother_andEnds() {
        var teacher = signedIn(centre.instructor());
        teacher.get("/people");
        String who = "/people/" + centre.apprentice().personId();
        teacher.post(who + "/reset", Map.of());
        String page = teacher.get(who).body();
        assertTrue(page.contains("within 72 hours"), page);
        var slip = ONE_TIME.matcher(page);
        assertTrue(slip.find());
        String password = slip.group();
        assertFalse(teacher.get(who).body().contains(password), "shown once");

        var lost = new Visitor(port).signIn(centre.apprentice().signIn(), password);
        for (String closed : new String[] {"/", "/sittings", "/vehicles", "/me"}) {
            assertEquals("/me/password", location(lost.get(closed)), closed);
        }
        lost.get("/me/password");
        for (String weak : new String[] {"short", password, centre.apprentice().displayName(), "1234567890"}) {
            assertEquals(
                    422,
                    lost.post("/me/password", Map.of("before", password, "password", weak))
                            .statusCode(),
                    weak);
        }
        assertEquals(
                422,
                lost.post("/me/password", Map.of("before", "wrong-wrong", "password", NEW))
                        .statusCode());
        assertEquals("/me", location(lost.post("/me/password", Map.of("before", password, "password", NEW))));
        assertEquals(200, lost.get("/sittings").statusCode());

        String again = office.reset(centre.instructor(), centre.apprentice().personId());
        jdbc.update(
                "update person set password_until = now() - interval '1 second' where id = ?",
                centre.apprentice().personId());
        var late = new Visitor(port);
        late.get("/sign-in");
        var form = Map.of("signIn", centre.apprentice().signIn(), "password", again);
        assertEquals("/sign-in?old", location(late.post("/sign-in", form)));
    }

    @Test
    void ownSessions_areSeen_andEndedElsewhere() {
        var here = signedIn(centre.instructor());
        var there = signedIn(centre.instructor());
        var third = signedIn(centre.instructor());
        var stranger = signedIn(centre.neighbour());
        String page = here.get("/me").body();
        var handles = Pattern.compile("/me/sessions/([0-9a-f-]{36})/end").matcher(page);
        assertTrue(handles.find());
        String handle = handles.group(1);
        assertTrue(handles.find() && !handles.find(), "two others");
        stranger.get("/me");
        stranger.post("/me/sessions/" + handle + "/end", Map.of());
        assertEquals(200, there.get("/me").statusCode());
        assertEquals(200, third.get("/me").statusCode());
        here.post("/me/sessions/" + handle + "/end", Map.of());
        assertNotEquals(there.get("/me").statusCode(), third.get("/me").statusCode(), "one of them is out");
        here.post("/me/sessions/end", Map.of());
        assertEquals(302, there.get("/me").statusCode());
        assertEquals(302, third.get("/me").statusCode());
        assertEquals(200, here.get("/me").statusCode());
    }

    /** Who decides on whom: an instructor on apprentices once there is an office, nobody on himself. */
    @Test
    void theOffice_decides_andUntilThereIsOneTheInstructor() {
        SignedIn teacher = centre.instructor();
        String password =
                office.add(teacher, Role.OFFICE, "Desk", "desk." + centre.code().toLowerCase());
        var desk = new Visitor(port).signIn("desk." + centre.code().toLowerCase(), password);
        desk.get("/me/password");
        desk.post("/me/password", Map.of("before", password, "password", NEW));
        var visitor = signedIn(teacher);
        visitor.get("/people");
        UUID deskId = jdbc.queryForObject(
                "select id from person where centre_id = ? and role = 'OFFICE'", UUID.class, centre.id());
        String other = "/people/" + deskId;
        assertEquals(404, visitor.post(other + "/reset", Map.of()).statusCode());
        assertEquals(
                404, visitor.post(other + "/active", Map.of("active", "false")).statusCode());
        String apprentice = "/people/" + centre.neighbour().personId();
        assertEquals(
                404,
                visitor.post(apprentice + "/role", Map.of("role", "INSTRUCTOR")).statusCode());
        assertEquals(
                404,
                visitor.post(
                                "/people",
                                Map.of("role", "VERIFIER", "displayName", "Sly", "signIn", "sly." + centre.code()))
                        .statusCode());
        assertEquals(
                302,
                visitor.post(apprentice + "/active", Map.of("active", "false")).statusCode());
        assertEquals(
                404, desk.post(other + "/active", Map.of("active", "false")).statusCode(), "not oneself");
        assertEquals(
                302,
                desk.post("/people/" + teacher.personId() + "/role", Map.of("role", "VERIFIER"))
                        .statusCode());
        assertEquals("/sign-in?ended", location(visitor.get("/tasks")));
        String stranger =
                "/people/" + jdbc.queryForObject("select id from person where sign_in = 'b.lindqvist'", UUID.class);
        assertEquals(404, desk.get(stranger).statusCode());
        assertEquals(404, desk.post(stranger + "/reset", Map.of()).statusCode());
    }

    /** Of several who give one name at the same instant, one has it and the others read that it is taken. */
    @Test
    void aNameGivenTwiceAtOneInstant_isTakenOnce_andTheOthersAreTold() throws Exception {
        String tag = centre.code().toLowerCase();
        var visitor = signedIn(centre.instructor());
        visitor.get("/people");
        List<Callable<HttpResponse<String>>> asks = List.of(
                () -> visitor.post(
                        "/people", Map.of("role", "APPRENTICE", "displayName", "Wim", "signIn", "wim." + tag)),
                () -> visitor.post("/classes", Map.of("name", "Late " + tag)),
                () -> visitor.post(
                        "/people/classes",
                        Map.of(
                                "name",
                                "Early " + tag,
                                "members",
                                centre.apprentice().personId().toString())));
        ExecutorService hands = Executors.newFixedThreadPool(6);
        for (var ask : asks) {
            for (var answer : hands.invokeAll(Collections.nCopies(6, ask))) {
                HttpResponse<String> said = answer.get();
                assertTrue(
                        said.statusCode() == 302 || said.body().contains("Someone already has this sign-in name"),
                        () -> said.statusCode() + said.body());
            }
        }
        hands.shutdown();
        assertEquals(
                List.of(1, 2),
                List.of(
                        jdbc.queryForObject(
                                "select count(*)::int from person where sign_in = ?", Integer.class, "wim." + tag),
                        jdbc.queryForObject(
                                "select count(*)::int from class_group where name like ?", Integer.class, "% " + tag)));
    }

    /** A session that is used is written once a minute, not with every page; one that was not used for a minute is. */
    @Test
    void aSessionInUse_isNotedOnceAMinute() {
        var visitor = signedIn(centre.instructor());
        visitor.get("/me");
        String used = "select last_access_time from spring_session where principal_name = ?";
        String who = centre.instructor().personId().toString();
        Long first = jdbc.queryForObject(used, Long.class, who);
        visitor.get("/tasks");
        assertEquals(first, jdbc.queryForObject(used, Long.class, who));
        jdbc.update(
                "update spring_session set last_access_time = last_access_time - 61000 where principal_name = ?", who);
        visitor.get("/tasks");
        assertTrue(jdbc.queryForObject(used, Long.class, who) >= first);
    }

    /** What is refused is said on the next page, by way of the session; two presses say it at one moment. */
    @Test
    void aButtonPressedTwice_isAnsweredTwice() throws Exception {
        var visitor = signedIn(centre.instructor());
        String again = "/marking/re-mark/" + centre.taskId();
        Callable<Integer> press =
                () -> visitor.post(again, Map.of("reason", "")).statusCode();
        ExecutorService fingers = Executors.newFixedThreadPool(6);
        for (int round = 0; round < 5; round++) {
            visitor.get(again);
            for (var answer : fingers.invokeAll(Collections.nCopies(6, press))) {
                assertEquals(302, answer.get());
            }
        }
        fingers.shutdown();
    }

    /** Styles and scripts are answered without the session, whatever cookie comes with them. */
    @Test
    void anAsset_asksNothingOfTheSession() {
        var visitor = signedIn(centre.instructor());
        var link = Pattern.compile("href=\"(/assets/style/[^\"]+)\"")
                .matcher(visitor.get("/me").body());
        assertTrue(link.find());
        String who = centre.instructor().personId().toString();
        String old = "update spring_session set last_access_time = 1 where principal_name = ?";
        jdbc.update(old, who);
        var asset = visitor.get(link.group(1));
        assertEquals(200, asset.statusCode());
        assertTrue(asset.headers().firstValue("Cache-Control").orElse("").contains("max-age=31536000"));
        assertEquals(
                "nosniff", asset.headers().firstValue("X-Content-Type-Options").orElse(""));
        assertEquals(
                1,
                jdbc.queryForObject(
                        "select last_access_time from spring_session where principal_name = ?", Long.class, who));
        assertEquals(405, visitor.post(link.group(1), Map.of()).statusCode());
        assertEquals(404, visitor.get("/assets/style/none.css").statusCode());
    }

    @Test
    void noRowOfASession_holdsAHash() {
        signedIn(centre.instructor());
        assertEquals(
                0,
                jdbc.queryForObject(
                        "select count(*) from spring_session_attributes where position('argon2'::bytea in attribute_bytes) > 0",
                        Integer.class));
        assertEquals(
                1,
                jdbc.queryForObject(
                        "select count(*) from spring_session where principal_name = ?",
                        Integer.class,
                        centre.instructor().personId().toString()));
    }
}
