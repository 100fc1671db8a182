package app.galdrin.web.task;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.account.People;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.library.Library;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Tasks go out as packs and come in elsewhere. */
@GaldrinTest
class PackTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Library library;

    @Autowired
    private People people;

    private Centre from;
    private Centre to;
    private String pack;

    @BeforeEach
    void sent() {
        from = centres.fullFront();
        to = centres.plates();
        pack = teacher(from).get("/tasks/" + from.taskId() + "/pack.json").body();
    }

    private Visitor teacher(Centre centre) {
        return new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
    }

    private HttpResponse<String> take(Centre centre, String text, UUID key) {
        return take(teacher(centre), centre, text, key);
    }

    private HttpResponse<String> take(Visitor teacher, Centre centre, String text, UUID key) {
        return teacher.post(
                "/tasks/import",
                Map.of(
                        "text",
                        text,
                        "class",
                        people.classes(centre.id()).get(0).id().toString(),
                        "key",
                        key.toString()));
    }

    @Test
    void aPack_setsTheSameTaskElsewhere_withItsVehicle() {
        UUID key = Ids.next();
        assertEquals(302, take(to, pack, key).statusCode());
        assertEquals(302, take(to, pack, key).statusCode(), "sent twice it is set once");
        TaskVersion set = tasks.task(to.id(), key);
        TaskVersion sent = tasks.task(from.id(), from.taskId());
        assertEquals(sent.practical(), set.practical());
        assertEquals(pack, teacher(to).get("/tasks/" + key + "/pack.json").body());
        assertEquals(2, library.newestSheets(to.id()).size());
        take(to, pack, Ids.next());
        assertEquals(2, library.newestSheets(to.id()).size(), "the vehicle is there already");
    }

    /** The same pack at one instant, from one page pressed twice and from two pages: its vehicle comes once, and nobody is refused. */
    @Test
    void aPackAtOneInstant_isTakenByEach() throws Exception {
        UUID twice = Ids.next();
        List<Callable<HttpResponse<String>>> hands = Stream.of(twice, twice, Ids.next(), Ids.next())
                .<Callable<HttpResponse<String>>>map(key -> {
                    var teacher = teacher(to);
                    return () -> take(teacher, to, pack, key);
                })
                .toList();
        int before = tasks.list(to.id(), false).size();
        var pool = Executors.newFixedThreadPool(hands.size());
        for (var answer : pool.invokeAll(hands)) {
            assertEquals(302, answer.get().statusCode(), answer.get().body());
        }
        pool.shutdown();
        assertEquals(2, library.newestSheets(to.id()).size());
        assertEquals(before + 3, tasks.list(to.id(), false).size());
    }

    @Test
    void aFaultyPack_changesNothing_andSaysAllThatIsWrong() {
        int before = tasks.list(to.id(), false).size();
        String faulty = pack.replace("\"school\":\"A\"", "\"school\":\"C\"")
                .replace("\"rule\":\"simple\"", "\"rule\":\"strict\"");
        var refused = take(to, faulty, Ids.next());
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("In the task, at school."), refused.body());
        assertTrue(refused.body().contains("In the task, at rule."), "both");
        String noSheet = "{\"format\":\"galdrin.pack\",\"version\":1,\"task\":{},\"sheet\":{}}";
        assertTrue(take(to, noSheet, Ids.next()).body().contains("is not a specification"));
        assertTrue(refused.body().contains("&quot;strict&quot;"), "what was typed is still there");
        for (String text :
                new String[] {"", "[]", "{\"format\":\"galdrin.pack\",\"version\":1}", "x".repeat(600_000)}) {
            assertEquals(422, take(to, text, Ids.next()).statusCode(), text.length() + " letters");
        }
        assertEquals(before, tasks.list(to.id(), false).size());
        assertEquals(1, library.newestSheets(to.id()).size());
    }

    /** The registration is taken by a vehicle whose sheet says otherwise. */
    @Test
    void anotherSheetOfThatRegistration_isNotReplaced() {
        String other = pack.replaceFirst("\"wheelbase\" : \"[0-9.]+\"", "\"wheelbase\" : \"2765\"");
        assertTrue(!other.equals(pack), "the wheelbase stands in it");
        var refused = take(from, other, Ids.next());
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("its newest specification differs"));
    }

    @Test
    void othersHaveNoPart() {
        assertEquals(
                404, teacher(to).get("/tasks/" + from.taskId() + "/pack.json").statusCode());
        var apprentice = new Visitor(port).signIn(to.apprentice().signIn(), Centre.PASSWORD);
        assertEquals(403, apprentice.get("/tasks/import").statusCode());
        assertEquals(
                404,
                teacher(to)
                        .post(
                                "/tasks/import",
                                Map.of(
                                        "text", pack,
                                        "class",
                                                people.classes(from.id())
                                                        .get(0)
                                                        .id()
                                                        .toString(),
                                        "key", Ids.next().toString()))
                        .statusCode());
    }
}
