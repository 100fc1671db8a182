package app.galdrin.web.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Tries are counted before they are tried, and nobody stays outside for what others did. */
@GaldrinTest
class AttemptsTest {

    private static final Attempts.Origin HERE = Attempts.Origin.address("192.0.2.1");

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Attempts attempts;

    @Autowired
    private JdbcTemplate jdbc;

    private String name;

    @BeforeEach
    void aName() {
        name = centres.plates().apprentice().signIn();
    }

    @AfterEach
    void forget() {
        jdbc.update("delete from attempt_count");
    }

    private static <T> List<T> together(int many, Callable<T> one) throws Exception {
        var pool = Executors.newFixedThreadPool(many);
        try {
            List<T> answers = new ArrayList<>();
            for (var answer : pool.invokeAll(Collections.nCopies(many, one))) {
                answers.add(answer.get());
            }
            return answers;
        } finally {
            pool.shutdown();
        }
    }

    @Test
    void ofFortyTriesAtOneInstant_fiveAreTried() throws Exception {
        List<Attempts.Turn> turns = together(40, () -> attempts.begin(name, HERE));
        assertEquals(5, turns.stream().filter(Attempts.Turn::allowed).count());
        assertTrue(attempts.begin(name, Attempts.Origin.address("192.0.2.2")).allowed(), "another address");
        assertTrue(attempts.begin("somebody.else", HERE).allowed(), "another name");
    }

    @Test
    void aName_isGuessedTwentyTimes_fromWhereverItIs() {
        int allowed = 0;
        for (int i = 0; i < 30; i++) {
            allowed += attempts.begin(name, Attempts.Origin.address("192.0.2." + i))
                            .allowed()
                    ? 1
                    : 0;
        }
        assertEquals(20, allowed);
    }

    @Test
    void aRightPassword_beginsTheCountAnew_andOneThatWasNotTriedDoesNotCount() {
        for (int i = 0; i < 4; i++) {
            attempts.begin(name, HERE);
        }
        attempts.succeeded(name, HERE);
        for (int i = 0; i < 12; i++) {
            assertTrue(attempts.begin(name, HERE).allowed());
            attempts.notTried(name, HERE);
        }
        assertTrue(attempts.begin(name, HERE).allowed());
    }

    @Test
    void aQuarterOfAnHourLater_itCountsFromOne() {
        for (int i = 0; i < 6; i++) {
            attempts.begin(name, HERE);
        }
        assertTrue(!attempts.begin(name, HERE).allowed());
        jdbc.update("update attempt_count set since = since - interval '16 minutes'");
        assertTrue(attempts.begin(name, HERE).allowed());
    }

    /** Others guess from everywhere and lock the name: the person's own device stays welcome, until the password is another. */
    @Test
    void aLockedName_isOpenOnItsOwnDevice() {
        Centre centre = centres.plates();
        String mine = centre.apprentice().signIn();
        var own = new Visitor(port).signIn(mine, Centre.PASSWORD);
        for (int i = 0; i < 30; i++) {
            attempts.begin(mine, Attempts.Origin.address("192.0.2." + i));
        }
        own.losesSession();
        assertEquals("/", locationOf(own.tryToSignIn(mine, Centre.PASSWORD)));
        assertEquals(
                "/sign-in?wait", locationOf(new Visitor(port).tryToSignIn(mine, Centre.PASSWORD)), "another device");
        own.losesSession();
        String neighbour = centre.neighbour().signIn();
        for (int i = 0; i < 30; i++) {
            attempts.begin(neighbour, Attempts.Origin.address("192.0.2." + i));
        }
        assertEquals("/sign-in?wait", locationOf(own.tryToSignIn(neighbour, Centre.PASSWORD)), "another person's");
        for (int i = 0; i < 5; i++) {
            own.tryToSignIn(mine, "a wrong one");
        }
        assertEquals("/sign-in?wait", locationOf(own.tryToSignIn(mine, Centre.PASSWORD)), "guessing there ends too");
    }

    private static String locationOf(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("").replaceFirst("http://localhost:[0-9]+", "");
    }

    /** Whoever has the right password is let in at an address where hundreds of names were wrong, though in the slower turn. */
    @Test
    void othersMistakesAtOneAddress_keepNobodyOut() {
        for (int i = 0; i < 150; i++) {
            attempts.begin("nobody." + i, Attempts.Origin.address("127.0.0.1"));
        }
        var visitor = new Visitor(port).signIn(name, Centre.PASSWORD);
        assertEquals(200, visitor.get("/sittings").statusCode());
        assertTrue(
                attempts.begin("one.more", Attempts.Origin.address("127.0.0.1")).failing());
    }

    /** A class and more at once: the memory holds, nobody is refused, and who is told to wait a moment is in at a later try. */
    @Test
    void fortySignInsAtOnce_areAllLetIn() throws Exception {
        Queue<String> names = new ConcurrentLinkedQueue<>();
        for (int i = 0; i < 20; i++) {
            Centre centre = centres.plates();
            names.addAll(
                    List.of(centre.apprentice().signIn(), centre.instructor().signIn()));
        }
        List<String> answers = together(40, () -> {
            var visitor = new Visitor(port);
            visitor.get("/sign-in");
            var form = Map.of("signIn", names.remove(), "password", Centre.PASSWORD);
            String answer = "/sign-in?busy";
            for (int tries = 0; answer.endsWith("?busy") && tries < 5; tries++) {
                answer = visitor.post("/sign-in", form)
                        .headers()
                        .firstValue("Location")
                        .orElse("none");
            }
            return answer;
        });
        assertEquals(40, answers.stream().filter(a -> a.endsWith("/")).count(), answers::toString);
    }

    @Test
    void namesAndCodes_haveNothingToDoWithOneAnother() {
        for (int i = 0; i < 40; i++) {
            attempts.wrongCode(HERE.place());
        }
        assertTrue(attempts.failsCodes(HERE.place()));
        assertTrue(!attempts.begin("join:abc", HERE).failing());
    }
}
