package app.galdrin.web.workshop;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.bay.PartMove;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

@GaldrinTest
class FaultTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Standings standings;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Entries entries;

    private Centre centre;
    private UUID van;
    private String path;

    @BeforeEach
    void aVehicleForATask() {
        centre = centres.plates(3);
        van = tasks.bays(centre.id(), centre.taskId()).get(0).sheet().vehicleId();
        path = "/tasks/" + centre.taskId() + "/fault/" + van;
    }

    private List<PartMove> kept() {
        return standings.moves(
                centre.id(), standings.find(centre.id(), van).orElseThrow().stateId());
    }

    /** The morning: from the task's page to a fault that is set, with what it reads and what the task sees of it. */
    @Test
    void aFault_isTyped_workedOut_andSet() {
        try (var maud = new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD)) {
            maud.go("/tasks/" + centre.taskId());
            maud.press("Set a fault");
            maud.waitForText("main", "assumed: nobody has read it");
            maud.press("Work out what to turn");
            maud.waitForText(".fault-plan", "Nothing would change");
            maud.fill("Toe, left front: value it should read, in degrees", "0.6");
            maud.press("Work out what to turn");
            maud.waitForText(".fault-plan .turn", "Track rod, left front: lengthen, 1 turns");
            maud.waitForText(".sights", "sees it");
            assertTrue(maud.text(".fault-plan table").contains("outside"));
            assertEquals(List.of(), maud.breaches());
            maud.press("I have set it");
            maud.waitFor(() -> maud.path().startsWith("/tasks/" + centre.taskId() + "#"));
            maud.waitForText(".state", "The fault: Track rod, left front: lengthen, 1 turns.");
        }
        assertEquals(List.of(new PartMove("rod.front.left", 1.0)), kept());
    }

    @Test
    void aDrawnFault_isThatOfItsNumber_andGoesOnPaperWithoutTheAnswer() {
        var maud = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        String drawn = maud.get(path + "?do=draw&difficulty=usual&seed=7").body();
        assertTrue(drawn.contains("What to turn") && drawn.contains("sees it"), drawn);
        assertEquals(
                turned(drawn),
                turned(maud.get(path + "?do=draw&difficulty=usual&seed=7").body()));
        String query =
                drawn.replaceFirst("(?s).*answer\\.pdf\\?([^\"]*)\".*", "$1").replace("&amp;", "&");
        var answer = maud.get(path + "/answer.pdf?" + query);
        assertEquals(200, answer.statusCode());
        assertTrue(answer.body().startsWith("%PDF"));
        assertEquals(200, maud.get(path + "/bay.pdf").statusCode());
        assertEquals(404, maud.get(path + "/answer.pdf").statusCode(), "no fault, no answer");
    }

    /** Each vehicle has a fault of its own, and the press beside it leads to the page that sets that one. */
    @Test
    void everyVehicle_getsADifferentFault() {
        centres.otherVehicle(centre, 3);
        var maud = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        assertTrue(maud.get("/tasks/" + centre.taskId()).body().contains("Faults for every vehicle"));
        String page = maud.get("/tasks/" + centre.taskId() + "/faults?difficulty=clear&seed=2")
                .body();
        List<String> turned = Pattern.compile("(?s)<ol class=\"turn\">(.*?)</ol>")
                .matcher(page)
                .results()
                .map(found -> found.group(1))
                .toList();
        assertEquals(2, turned.size(), page);
        assertNotEquals(turned.get(0), turned.get(1));
        String set = page.replaceFirst("(?s).*?href=\"([^\"]*do=plan[^\"]*)\".*", "$1")
                .replace("&amp;", "&");
        assertEquals(turned.get(0).strip(), turned(maud.get(set).body()).strip());
    }

    private static String turned(String page) {
        return page.replaceFirst("(?s).*<ol class=\"turn\">(.*?)</ol>.*", "$1");
    }

    @ParameterizedTest
    @CsvSource({
        "size.toe.front.left=a bit, “a bit” was read, 422",
        "size.toe.front.left=30, 30, 422",
        "toe=x&size.toe.front.left=0.5, “x” was read, 422",
        "size.toe.front.left=2, beyond how far this vehicle may be set, 200",
        "size.toe.front.left=0.1&sense.toe.front.left=toeOut, No step of this task can see this change, 200",
        "seed=nine, Or have a fault drawn, 200",
    })
    void whatCannotBeSet_isAnsweredWithItsReason_andStaysInItsField(String query, String reason, int status) {
        var maud = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        var page = maud.get(path + "?do=plan&" + query.replace(" ", "%20"));
        assertEquals(status, page.statusCode());
        assertTrue(page.body().contains(reason), page.body());
        String typed = query.replaceFirst("(?s).*size\\.toe\\.front\\.left=([^&]*).*", "$1");
        assertTrue(!query.contains("size") || page.body().contains("value=\"" + typed + "\""));
        assertFalse(page.body().contains("I have set it"));
    }

    /** A sheet has read the vehicle: the press is asked for twice, and what was typed stays. */
    @Test
    void aFault_isSetTwiceAsked_whereAnOpenSheetHasReadTheVehicle() {
        Sitting bo = centre.sitting(tasks, sittings);
        Centre.write(sittings, entries, centre.apprentice(), bo, "found/frontDistance/1/0", "1900");
        var maud = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        Map<String, String> form = new HashMap<>(Map.of(
                "size.toe.front.left",
                "0.6",
                "seen",
                String.valueOf(standings.find(centre.id(), van).orElseThrow().seq())));
        var asked = maud.post(path, form);
        assertEquals(200, asked.statusCode());
        assertTrue(asked.body().contains("has read this vehicle and has not handed in"), asked.body());
        assertTrue(asked.body().contains("name=\"size.toe.front.left\" value=\"0.6\""));
        assertEquals(List.of(), kept());
        form.put("sure", "true");
        assertEquals(302, maud.post(path, form).statusCode());
        assertEquals(1, kept().size());
        assertTrue(maud.post(path, form).body().contains("Meanwhile"), "the page is of before");
    }

    @Test
    void onlyTheVehiclesOfTheTask_andOnlyForInstructors() {
        Centre elsewhere = centres.plates();
        UUID other =
                tasks.bays(elsewhere.id(), elsewhere.taskId()).get(0).sheet().vehicleId();
        var maud = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        assertEquals(
                404, maud.get("/tasks/" + centre.taskId() + "/fault/" + other).statusCode());
        assertEquals(
                404,
                maud.get("/tasks/" + elsewhere.taskId() + "/fault/" + other).statusCode());
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertEquals(403, apprentice.get(path).statusCode());
    }
}
