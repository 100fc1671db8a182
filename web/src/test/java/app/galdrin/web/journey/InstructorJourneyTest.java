package app.galdrin.web.journey;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.EmptyInstallation;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.FirstRun;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.library.Library;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.Tasks;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What an instructor comes for, with what the pages offer and by the visible names of things. */
@GaldrinTest
class InstructorJourneyTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Library library;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Entries entries;

    @Autowired
    private MarkSheets sheets;

    private Browser instructor(Centre centre) {
        return new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD);
    }

    /** Journey 1: an empty database, the set-up code, a class pasted, its passwords on one page. */
    @Test
    void anEmptyInstallation_getsItsCollege_andAClassOfSixteen() {
        List<String> names = IntStream.rangeClosed(1, 16)
                .mapToObj(n -> "Person " + (char) ('A' + n))
                .toList();
        try (var installation = EmptyInstallation.on("first_run");
                var ada = new Browser(installation.port(), 1280, 800)) {
            beginTheCollege(ada, installation.part(FirstRun.class).offer().orElseThrow());
            assertTrue(installation.part(FirstRun.class).offer().isEmpty(), "the code is used up");
            for (String page :
                    List.of("/tasks", "/tasks/new", "/tasks/import", "/marking", "/bays", "/people", "/vehicles")) {
                ada.go(page);
                assertFalse(ada.text("main").contains("give this number"), page + " is an error page");
            }
            ada.go("/help/style").waitForText("main", "This page does not exist");
            ada.go("/first-run").waitFor(() -> !ada.path().startsWith("/first-run"));
            ada.press("Classes");
            ada.waitForText("main", "classes will be listed here");
            ada.fill("Name of the class", "1A");
            ada.fill("Names, one per line", String.join("\n", names) + "\nPerson B");
            ada.press("Create a class");
            ada.waitForText("[role=alert]", "is in the list twice");
            ada.fill("Names, one per line", String.join("\n", names));
            ada.press("Create a class");
            ada.waitForText("#hand-out", "One-time passwords");
            assertEquals(16, ada.all("#hand-out tbody tr").size());
            assertEquals(List.of(), ada.breaches());
            ada.press("Remove Person B from the class");
            ada.waitForText("[role=status]", "Person B is no longer in this class");
        }
    }

    /** What is wrong is said in one go and nothing typed is lost; the code goes in capitals and without its hyphens. */
    private static void beginTheCollege(Browser ada, String code) {
        ada.driver().executeCdpCommand("Emulation.setTimezoneOverride", Map.of("timezoneId", "Europe/Oslo"));
        ada.go("/");
        ada.waitForText("main h1", "The first instructor");
        assertEquals("Europe/Oslo", ada.value("#zone"), "the browser's zone is offered");
        ada.fill("Set-up code", "aaaa-bbbb-cccc");
        ada.fill("College or workshop", "North Works");
        ada.fill("Name", "Ada Fern");
        ada.fill("Sign-in name", "a fern");
        ada.fill("Password", "short");
        ada.press("Create college and instructor");
        for (String wrong : List.of("without spaces", "10 to 200 characters", "not the code on the console")) {
            ada.waitForText("main", wrong);
        }
        assertEquals("North Works", ada.value("#centre"));
        ada.fill("Set-up code", code.toUpperCase(Locale.ROOT).replace("-", ""));
        ada.fill("Time zone", "Europe/London");
        ada.fill("Sign-in name", "a.fern");
        ada.fill("Password", "a long enough one");
        ada.press("Create college and instructor");
        ada.waitForText("main", "You are the only person here");
    }

    /** Journey 2: what the maker prints, as he prints it; what he does not print stays unknown, and the next issue is held against this one. */
    @Test
    void aVehicle_isWrittenFromThePrintedFigures_andTheNextIssueIsCompared() {
        Centre centre = centres.plates();
        try (var maud = instructor(centre)) {
            maud.press("Vehicles");
            maud.press("New vehicle");
            maud.fill("Vehicle: Make", "Harrow");
            maud.fill("Vehicle: Model", "Finch");
            maud.fill("Vehicle: Body", "small car");
            maud.fill("Vehicle: Registration", "JN 204 F");
            maud.fill("Vehicle: Driven axle", "front");
            maud.fill("Vehicle: Driver’s side", "right");
            maud.fill("Dimensions: Wheelbase", "2510");
            maud.fill("Dimensions: Front track", "1460");
            maud.fill("Dimensions: Rear track", "1452");
            maud.fill("Dimensions: Linkage position", "behind");
            maud.fill("Wheels, row 1: Rim, edge to edge", "392");
            maud.fill("Wheels, row 1: Tyre radius, unloaded", "298");
            maud.fill("Figures, row 5: Minimum", "0°02'");
            maud.fill("Figures, row 5: Preferred", "0°10'");
            maud.fill("Figures, row 5: Maximum", "0°18'");
            maud.fill("Figures, row 5: Adjustable", "yes");
            maud.fill("Figures, row 2: Maximum", "-0°10'");
            maud.press("Save issue A");
            maud.waitForText("main", "Issue A is saved");
            String sheet = maud.text("main");
            assertTrue(sheet.contains("As printed: From 0°02' to 0°18', preferred 0°10'"), sheet);
            assertTrue(sheet.contains("It is not known whether it can be adjusted"), "nobody was asked to say so");
            assertFalse(sheet.contains("Caster, front axle"), "an untouched row is no row");
            maud.press("Write the next issue");
            maud.fill("Figures, row 2: Maximum", "0°16'");
            maud.fill("Reason for the new issue", "the maker's bulletin 4");
            maud.press("Check entries");
            maud.waitForText("main", "Issue B compared with issue A");
            assertTrue(maud.text("main").contains("As printed: From 0°02' to 0°16'"));
            maud.press("Save issue B");
            maud.waitForText("main", "Issue B is saved");
        }
    }

    /** Journey 3, with what the bench offers and no letter typed. */
    @Test
    void aTask_isSetFromAStart_andOpened() {
        Centre centre = centres.plates();
        try (var maud = instructor(centre)) {
            maud.press("Tasks");
            maud.press("Set a task");
            assertFalse(maud.text(".starts").contains("beam axle"), "the van has struts");
            maud.press("Camber and toe");
            maud.waitForText("#steps", "Camber: Inclinometer, zeroed on the floor");
            maud.press("Set the task");
            maud.waitForText("main h1", "camber and toe");
            maud.press("Open to the class");
            maud.waitFor(() -> maud.has(".code-large"));
            assertEquals(5, maud.presses());
        }
    }

    /** Journey 3: steps are added, moved, taken out and put back; a refusal says what is wrong and is mended. */
    @Test
    void aTask_isComposed_refusedAndMended() {
        Centre centre = centres.plates();
        String camber = "Camber: Inclinometer, zeroed on the floor";
        try (var maud = instructor(centre)) {
            maud.press("Tasks");
            maud.press("Set a task");
            maud.press("Toe");
            maud.press("Camber");
            maud.press("Move up: " + camber);
            maud.press("Remove: Prepare");
            maud.press("Remove: Plan");
            maud.waitFor(() -> !steps(maud).contains("Plan")); // a criterion has that name too
            maud.press("Plan");
            maud.press("Prepare");
            maud.waitFor(() -> steps(maud)
                    .equals(List.of(
                            "Prepare",
                            camber,
                            "Toe: Two parallel strings",
                            "Work it out",
                            "Judge",
                            "Plan",
                            "Adjust and read again",
                            "Close up",
                            "Hand in")));
            maud.slow(Duration.ofMillis(400)); // ticks come quicker than the bench answers, and none is lost
            for (String figure : List.of("Total toe, front", "Toe, left front", "Toe, right front")) {
                maud.press(figure);
            }
            maud.slow(Duration.ZERO);
            maud.press("Set the task");
            maud.waitForText("[data-bench-step=toe]", "No figure is selected");
            maud.press("Total toe, front");
            maud.press("Set the task");
            maud.waitFor(() -> maud.path().matches("/tasks/[0-9a-f-]{36}"));
        }
    }

    private static List<String> steps(Browser maud) {
        return maud.all("[data-bench-step] > details > summary").stream()
                .map(step -> step.getText().replaceFirst("^[0-9]+\\s+", ""))
                .toList();
    }

    /** Journey 3 at its end: one task, a vehicle in each of two bays under one code; a bay that is not surveyed is said. */
    @Test
    void aBayIsMadeAndSurveyed_andTheTaskStandsInTwo() {
        Centre centre = centres.plates();
        try (var maud = instructor(centre)) {
            maud.press("Bays");
            maud.press("Add a bay");
            maud.waitForText("main", "This floor has not been surveyed");
            maud.fill("Slope along the bay, in degrees", "0.2");
            maud.fill("Slope across the bay, in degrees", "up a bit");
            maud.press("Save survey");
            maud.waitForText("#across-fault", "up a bit");
            assertEquals("0.2", maud.value("#along"), "nothing typed is lost");
            maud.fill("Slope across the bay, in degrees", "0.1");
            maud.press("Save survey");
            maud.waitForText("table", "0.20° higher at the far end");
            UUID other = centres.otherVehicle(centre, 3);
            String registration = library.sheet(centre.id(), other).registration();
            maud.go("/tasks/" + centre.taskId());
            maud.press("Use another vehicle, or one that was set anew");
            maud.fill("Bay", "1");
            maud.fill("Vehicle", registration);
            maud.press("Use this vehicle");
            maud.waitForText("#bays-change .fault", "Bay 1 is taken by the Quendle Parcel 9");
            maud.fill("Bay", "2");
            maud.press("Use this vehicle");
            maud.waitForText("main", "Bay 2");
            assertEquals(
                    List.of(1, 2),
                    tasks.bays(centre.id(), centre.taskId()).stream()
                            .map(TaskBay::bay)
                            .toList(),
                    "a vehicle stands in one bay");
        }
    }

    /** Journey 7. */
    @Test
    void whoCallsIsFirst_andIsAnswered_aWrongNameIsPutRight_andASheetIsStopped() {
        Centre centre = centres.plates();
        Sitting first = centre.sitting(tasks, sittings);
        var opening = tasks.current(centre.id(), centre.taskId()).orElseThrow();
        UUID second = sittings.begin(opening, centre.neighbour().personId(), null);
        Centre.write(
                sittings,
                entries,
                centre.neighbour(),
                sittings.sitting(centre.neighbour(), second),
                "_staff/needsYou/0/0",
                "raised");
        try (var maud = instructor(centre)) {
            maud.go("/tasks/" + centre.taskId());
            maud.waitForText("#people tbody tr:first-child", "needs you");
            assertTrue(maud.text("#people tbody tr:first-child").contains("Second"), "callers rise to the top");
            assertTrue(maud.driver().getTitle().startsWith("(1)"), maud.driver().getTitle());
            maud.press("Done");
            maud.waitFor(() -> !maud.text("#people").contains("needs you"));
            maud.click("#people tbody tr:first-child td:first-child a");
            maud.waitFor(() -> maud.path().startsWith("/sittings/"));
            assertFalse(maud.text("main").contains("Two people wrote"), "a flag is no dispute");
            maud.go("/marking/" + first.id());
            maud.find("#belongs select").sendKeys("Second");
            maud.find("#belongs input[name=reason]").sendKeys("took the wrong name");
            maud.press("Change name");
            maud.waitForText("[role=status]", "The name is changed.");
            maud.waitForText(".bay-head", "Second");
            maud.find("#stop input[name=reason]").sendKeys("no stands under it");
            maud.press("Stop this sitting");
            maud.waitForText("#stopped", "no stands under it");
        }
        assertTrue(sittings.sitting(centre.instructor(), first.id())
                .isOf(centre.neighbour().personId()));
        assertTrue(
                sittings.sitting(centre.instructor(), second)
                        .isOf(centre.apprentice().personId()),
                "both, at once");
    }

    /** Journey 8. */
    @Test
    void aVehicleThatWasMoved_waitsForTheInstructorsWord() {
        Centre centre = centres.fullFront();
        Sitting first = centre.sitting(tasks, sittings);
        for (String[] move : new String[][] {
            {"rod.front.left.way", "shorten"}, {"rod.front.left.amount", "1/4"}, {"rod.front.right.way", "lengthen"}
        }) {
            Centre.write(sittings, entries, centre.apprentice(), first, "adjust/" + move[0] + "/0/1", move[1]);
        }
        var opening = tasks.current(centre.id(), centre.taskId()).orElseThrow();
        UUID second = sittings.begin(opening, centre.neighbour().personId(), null);
        String next = "/sittings/" + second;
        try (var maud = instructor(centre);
                var bo = new Browser(port, 390, 844).signIn(centre.neighbour().signIn(), Centre.PASSWORD)) {
            bo.go(next + "?step=toe");
            bo.waitForText("#waits", "First");
            maud.go("/tasks/" + centre.taskId());
            maud.waitForText(".state", "left it like this");
            assertEquals(
                    List.of("Track rod, left front: lengthen, 1/4 turns.", "Track rod, right front: shorten."),
                    maud.all(".way-back li").stream()
                            .map(li -> li.getText().replaceFirst("\\. .*", "."))
                            .toList());
            assertEquals(
                    "Not every sheet says what was moved. Take new readings before you use the vehicle.",
                    maud.text(".way-back-note"));
            maud.all(".way-back input").forEach(tick -> tick.click());
            maud.press("It was put back");
            maud.waitFor(() -> !maud.has(".moved"));
            bo.go(next + "?step=toe");
            assertFalse(bo.has("#waits"));
        }
    }

    /** Journey 9: one key a sheet, the page not loaded again, then the rest of the task at once and taken back. */
    @Test
    void whatWasHandedIn_isSignedAndReleased_aKeyASheet() {
        Centre centre = centres.plates();
        centres.reference(centre);
        for (String name : List.of("Ada", "Ben", "Cem")) {
            centres.sat(centre, name, "0.34", false);
        }
        Sitting last = centres.sat(centre, "Dot", "0.34", true);
        try (var maud = instructor(centre)) {
            maud.press("Marking");
            maud.waitForText("main", "Dot");
            maud.press("Ada");
            maud.waitForText(".bay-head", "Ada");
            maud.script("window.stays = true");
            maud.find("body").sendKeys("g");
            maud.waitForText("[role=status]", "Ada is signed and released");
            assertEquals(true, maud.script("return window.stays"), "the page is not loaded again");
            maud.press("Marking");
            maud.press("Release signed sheets (1)");
            maud.press("Release 1");
            maud.waitForText("#soon", "1 sheet");
            assertFalse(sittings.sitting(centre.instructor(), last.id()).state().shown());
            maud.press("Take back");
            maud.waitForText("[role=status]", "1 taken back");
        }
        assertTrue(sittings.sitting(centre.instructor(), last.id()).state().signed());
    }

    /** Journey 12: the reference is read again; what would change is shown, applied, and its apprentice is told what and why. */
    @Test
    void aWrongReference_isReadAgain_andWhoseMarksChangeIsTold() {
        Centre centre = centres.plates();
        centres.reference(centre);
        Sitting ada = centres.sat(centre, "Ada", "0.34", true);
        assertTrue(
                sheets.release(centre.instructor(), ada, Ids.next().toString()).isEmpty());
        try (var maud = instructor(centre);
                var her = new Browser(port, 390, 844).signIn("Ada." + centre.id(), Centre.PASSWORD)) {
            her.press("My sheets");
            assertFalse(her.text("main").contains("re-marked"));
            maud.go("/tasks/" + centre.taskId());
            maud.press("Take readings");
            for (String repeat : List.of("First", "Second")) {
                maud.press(repeat);
                maud.focusOn("found/frontDistance/" + (repeat.equals("First") ? 1 : 2) + "/0");
                maud.script("document.activeElement.select()");
                maud.enter("1899");
                maud.waitForText("#status", "all saved");
            }
            maud.go("/tasks/" + centre.taskId());
            maud.press("Re-mark signed sheets");
            maud.fill("Why you re-mark", "the tape lay on the tread's edge");
            maud.press("Work out the changes");
            maud.waitFor(() -> !maud.go(maud.path()).all(".remark-table").isEmpty());
            assertTrue(maud.text(".remark-table").contains("Ada"));
            maud.click("#apply");
            maud.waitForText("#progress", "Applied");
            her.press("My sheets");
            her.waitForText("main", "re-marked: see what changed");
            her.press("Plates · " + ada.sheet().vehicleName());
            her.waitForText("#remarked", "the tape lay on the tread's edge");
        }
    }
}
