package app.galdrin.web.workshop;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.spec.Stance;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

@GaldrinTest
class WorkshopTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Bays bays;

    @Autowired
    private Standings standings;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Entries entries;

    private Centre centre;
    private UUID van;

    @BeforeEach
    void oneVehicleAndAFreeBay() {
        centre = centres.plates(3);
        van = tasks.bays(centre.id(), centre.taskId()).get(0).sheet().vehicleId();
        bays.add(centre.id(), 2, "by the wall");
    }

    private VehicleStanding now() {
        return standings.find(centre.id(), van).orElseThrow();
    }

    /** By drag, then backed into the other bay by keyboard alone; then out of all of them. */
    @Test
    void aVehicleIsMoved_byDragAndByKeyboard() {
        try (var maud = new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD)) {
            maud.go("/bays");
            assertTrue(maud.text("#bay-2").contains("Free"));
            maud.driver()
                    .executeScript(
                            "const data = new DataTransfer();"
                                    + "const drag = (on, type) => on.dispatchEvent(new DragEvent(type, {dataTransfer: data, bubbles: true, cancelable: true}));"
                                    + "drag(document.getElementById(arguments[0]), 'dragstart');"
                                    + "drag(document.querySelector('#bay-2 .bay-floor'), 'dragover');"
                                    + "drag(document.querySelector('#bay-2 .bay-floor'), 'drop');",
                            "vehicle-" + van);
            maud.waitForText("#bay-2", "Parcel 9");
            assertTrue(maud.text("#bay-1").contains("Free"));
            assertEquals(List.of(), maud.breaches());
            maud.press("Move to another bay");
            maud.fill("Bay", "1");
            maud.fill("Vehicles face", "backed in");
            maud.press("Move vehicle");
            maud.waitForText("#bay-1", "Backed in: it faces the door.");
            assertTrue(maud.has("#bay-1 svg g[transform^='rotate(180']"));
            maud.press("Move to another bay");
            maud.fill("Bay", "In no bay");
            maud.press("Move vehicle");
            maud.waitForText("#bay-1", "Free");
            assertTrue(now().bayNumber().isEmpty());
        }
    }

    /** A sheet that has read the vehicle: the new setting is asked for twice, and what was typed stays. */
    @Test
    void aNewSetting_isAskedTwice_whereAnOpenSheetHasReadTheVehicle() {
        Sitting bo = centre.sitting(tasks, sittings);
        Centre.write(sittings, entries, centre.apprentice(), bo, "found/frontDistance/1/0", "1900");
        try (var maud = new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD)) {
            maud.go("/bays");
            maud.press("Record a new setting");
            maud.fill("What happened", "outside Galdrin");
            maud.fill("How it is set (your note)", "kerbed on the way in");
            maud.press("Record new setting");
            maud.waitForText(".vehicle-card .fault", "has read this vehicle and has not handed in");
            assertEquals("kerbed on the way in", maud.value("[name=note]"));
            maud.click("[name=sure]");
            maud.press("Record new setting");
            maud.waitForText(".state", "It was changed outside Galdrin");
            assertTrue(maud.text(".state").contains("kerbed on the way in"));
        }
    }

    /** The evening: what to read and what to put back stand on one sheet, and a tick there writes the state. */
    @Test
    void theDaySheet_saysWhatToReadAndWhatToPutBack() {
        Sitting bo = centre.sitting(tasks, sittings);
        try (var maud = new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD)) {
            maud.go("/bays");
            maud.press("Day sheet");
            maud.waitForText(".day-line", "Nobody has read it in its present state");
            maud.waitForText("main", "to be put back or to be read: 1.");
            centres.reference(centre);
            maud.go("/bays/day");
            maud.waitForText("main", "No vehicle has to be put back or read");
            maud.waitForText(".reading", "You have read it in its present state");
            Centre.write(sittings, entries, centre.apprentice(), bo, "adjust/rod.front.left.way/0/1", "lengthen");
            Centre.write(sittings, entries, centre.apprentice(), bo, "adjust/rod.front.left.amount/0/1", "1/2");
            maud.go("/bays/day");
            maud.waitForText(".day-line", "First");
            maud.waitForText(".way-back", "Track rod, left front: shorten, 1/2 turns");
            assertEquals(List.of(), maud.breaches());
            maud.click("[name=part]");
            maud.press("It was put back");
            maud.waitForText(".reading", "You read it before it was adjusted and put back");
            assertTrue(maud.path().startsWith("/bays/day#"), maud.path());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "place, bay, 7, has no bay with this number",
        "place, bay, B4, “B4” was read",
        "put-back, part, rod.front.left, There is nothing to put back",
        "lend, x, x, There is nothing to put back",
        "set, note, LONG, at most 400 characters",
        "set, rideHeight, 20, Ride height: “20” was read",
        "set, load, full, Load: “full” was read",
    })
    void aWordThatCannotBe_isAnsweredWithItsReason(String word, String name, String value, String reason) {
        var maud = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        String given = value.equals("LONG") ? "x".repeat(401) : value;
        String seen = String.valueOf(now().seq());
        assertEquals(
                302,
                maud.post("/bays/vehicles/" + van + "/" + word, Map.of("seen", seen, name, given))
                        .statusCode());
        String page = maud.get("/bays").body();
        assertTrue(page.contains(reason), page);
        assertEquals(Integer.parseInt(seen), now().seq(), "nothing changes");
    }

    /** A measurement at a height and a load: the sheet says how the vehicle stands until it was set so, and the state keeps it through a round. */
    @Test
    void aMeasurementAtAHeight_saysHowTheVehicleStands() {
        var laden = new Stance(OptionalDouble.of(372), OptionalDouble.of(150));
        centre = centres.with(sheet -> {
            Practical plates = TestCentres.byPlates(sheet, 2);
            return plates.with(plates.steps().stream()
                    .map(step -> step instanceof Measure measure ? measure.with(laden) : step)
                    .toList());
        });
        van = tasks.bays(centre.id(), centre.taskId()).get(0).sheet().vehicleId();
        var maud = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        var bo = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String sheet = "/sittings/" + centre.sitting(tasks, sittings).id();
        String page = page(bo, sheet);
        assertTrue(page.contains("Nobody has recorded how the vehicle stands"), page);
        assertTrue(page.contains("Take these readings at ride height 372 mm, 150 kg load."), page);
        String set = "/bays/vehicles/" + van + "/set";
        maud.post(set, Map.of("seen", String.valueOf(now().seq()), "rideHeight", "390", "load", "150"));
        assertTrue(page(maud, "/bays").contains("It stands at ride height 390 mm, 150 kg load."));
        assertTrue(page(bo, sheet).contains("The vehicle was recorded at ride height 390 mm"));
        maud.post(set, Map.of("seen", String.valueOf(now().seq()), "rideHeight", "371", "load", "150"));
        assertFalse(page(bo, sheet).contains("The vehicle was recorded at"));
        Sitting now = sittings.sitting(centre.instructor(), UUID.fromString(sheet.substring("/sittings/".length())));
        Centre.write(sittings, entries, centre.apprentice(), now, "adjust/rod.front.left.way/0/1", "lengthen");
        assertEquals(OptionalDouble.of(371), now().stance().rideHeight(), "adjusting leaves it");
    }

    private static String page(Visitor who, String path) {
        return who.get(path).body().replace('\u00a0', ' ');
    }

    @Test
    void onlyInstructors_giveAWord_andOnlyOnTheirOwnVehicles() {
        String path = "/bays/vehicles/" + van + "/lend";
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertEquals(403, apprentice.post(path, Map.of("seen", "1")).statusCode());
        var stranger = new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
        assertEquals(404, stranger.post(path, Map.of("seen", "1")).statusCode());
    }
}
