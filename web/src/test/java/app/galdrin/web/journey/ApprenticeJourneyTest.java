package app.galdrin.web.journey;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.FrontPractical;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Wire;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Decisions;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingState;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What an apprentice comes for, on a phone. */
@GaldrinTest
class ApprenticeJourneyTest {

    private static final String FRONT = "found/frontDistance/1/0";

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Entries entries;

    @Autowired
    private Decisions decisions;

    @Autowired
    private MarkSheets sheets;

    private Centre centre;
    private Browser bo;

    @BeforeEach
    void open() {
        centre = centres.plates();
        bo = new Browser(port, 390, 844);
    }

    @AfterEach
    void close() {
        bo.close();
    }

    private Sitting begun(Browser who) {
        Sitting sitting = centre.sitting(tasks, sittings);
        who.signIn(centre.apprentice().signIn(), Centre.PASSWORD).go("/sittings/" + sitting.id() + "?step=found");
        who.waitFor(() -> who.has("input[name='" + FRONT + "']"));
        return sitting;
    }

    private static void write(Browser who, String line, String text) {
        who.focusOn(line);
        who.script("document.activeElement.select()");
        who.enter(text);
    }

    /** Journeys 4 and 10, with 8 at the desk: joined by a code, every step done, handed in; the vehicle read as left, marked, released, read. */
    @Test
    void everyStep_isDone_handedIn_markedAndRead() {
        try (var maud = new Browser(port, 1280, 800)) {
            var practical = new FrontPractical(maud, bo);
            String task = practical.set();
            String sheet = practical.sit();
            assertEquals(practical.mark(task).replace("/marking/", "/sittings/"), sheet);
            practical.readFeedback();
            assertEquals(List.of(), practical.breaches());
        }
    }

    /** Journey 4: what can't be read is said at its field and nowhere else, and is gone when it is put right; handing in asks once. */
    @Test
    void whatWasMistyped_isPutRightAtItsField_andHandingInIsNoAccident() {
        Sitting sitting = begun(bo);
        write(bo, FRONT, "ninety");
        bo.waitForText("[data-aside]", "ninety");
        bo.script("document.querySelector('[data-step-link=work]').click()");
        bo.waitFor(() -> bo.find("#step-work").isDisplayed());
        assertFalse(bo.find("[data-aside]").isDisplayed(), "never on other steps");
        bo.script("document.querySelector('[data-step-link=found]').click()");
        write(bo, FRONT, "1905");
        bo.waitFor(() -> !bo.find("[data-aside]").isDisplayed());
        bo.go("/sittings/" + sitting.id() + "?step=handIn");
        bo.press("Hand in");
        bo.waitForText("dialog", "still open");
        bo.press("Not yet");
        assertFalse(state(sitting).handedIn());
        bo.press("Hand in");
        bo.click("[data-ask-yes]");
        bo.waitForText("main", "Handed in. Nothing more");
        bo.click("#take-back button");
        bo.waitFor(() -> !state(sitting).handedIn());
        bo.go("/sittings/" + sitting.id() + "?step=found");
        assertEquals("1905", bo.value("input[name='" + FRONT + "']"));
    }

    private SittingState state(Sitting sitting) {
        return sittings.sitting(centre.instructor(), sitting.id()).state();
    }

    /** Journey 5. */
    @Test
    void withoutTheNetwork_theInstructorIsCalled_thePageStays_andNothingIsLost() {
        Sitting sitting = begun(bo);
        bo.offline(true);
        write(bo, FRONT, "1905");
        bo.press("Call instructor");
        bo.press("My sheets");
        bo.waitForText("#status", "Stay on this page");
        assertTrue(bo.path().startsWith("/sittings/" + sitting.id()));
        bo.find("body").sendKeys(Keys.F5);
        bo.waitForText("#status", "Stay on this page");
        write(bo, "found/rearDistance/1/0", "1908");
        bo.offline(false);
        bo.waitFor(() -> state(sitting).flagged() && state(sitting).lastSeq() == 3);
        bo.waitForText("[data-call] button", "Instructor called");
        bo.press("My sheets");
        bo.waitForText("main h1", "My sheets");
    }

    /** Journey 5: the browser's own button to load the page again; what was written is there once the sheet comes back, by itself. */
    @Test
    void loadedAgainWithoutTheNetwork_theSheetComesBackByItself() throws IOException {
        try (var wire = new Wire(port);
                var phone = Browser.secure(wire.port(), 390, 844)) {
            Sitting sitting = begun(phone);
            phone.waitFor(() -> Boolean.TRUE.equals(phone.script("return !!navigator.serviceWorker.controller")));
            wire.cut();
            write(phone, FRONT, "1905");
            phone.waitForText("#status", "saved on this device");
            phone.driver().navigate().refresh();
            phone.waitForText("main h1", "No connection");
            assertEquals(List.of(), phone.breaches());
            wire.mend();
            phone.waitFor(() -> phone.has("input[name='" + FRONT + "']"));
            phone.waitFor(() -> state(sitting).lastSeq() == 1);
            assertEquals("1905", phone.value("input[name='" + FRONT + "']"));
        }
    }

    /** Journey 5's end and 19: what is given back comes to the open page by itself, with its reason. */
    @Test
    void whatIsGivenBack_isOpenAgain_onThePageThatIsOpen() {
        Sitting sitting = begun(bo);
        Centre.write(sittings, entries, centre.apprentice(), sitting, "handIn/done/0/0", "done");
        bo.go("/sittings/" + sitting.id());
        bo.waitForText("main", "Handed in. Nothing more");
        decisions.giveBack(
                centre.instructor(),
                sittings.sitting(centre.instructor(), sitting.id()),
                "read it twice",
                UUID.randomUUID().toString());
        bo.waitForText("#given-back", "read it twice");
    }

    /** Journey 6. */
    @Test
    void aTabletThatDied_theSameSheetOnAnotherOne() {
        Sitting sitting = begun(bo);
        write(bo, FRONT, "1905");
        bo.waitForText("#status", "all saved");
        try (var other = new Browser(port, 390, 844);
                var maud =
                        new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD)) {
            maud.go("/tasks/" + centre.taskId());
            maud.press("Let back in with the code");
            maud.waitForText("[role=status]", "can join again with the code");
            other.go("/join");
            other.fill("Code", centre.code());
            other.press("Next");
            other.press(sitting.names());
            other.press("Start");
            other.waitFor(() -> other.path().startsWith("/sittings/" + sitting.id()));
            other.go("/sittings/" + sitting.id() + "?step=found");
            assertEquals("1905", other.value("input[name='" + FRONT + "']"));
        }
    }

    /** Journey 10: what to do again, the slip with his own numbers and what was well done come first. */
    @Test
    void theFeedback_beginsWithThreeThings() {
        centres.reference(centre);
        Sitting sitting = centres.sat(centre, "Eve", "-0.34", true);
        assertTrue(
                sheets.release(centre.instructor(), sitting, UUID.randomUUID().toString())
                        .isEmpty());
        bo.signIn("Eve." + centre.id(), Centre.PASSWORD).go("/sittings/" + sitting.id() + "/feedback");
        bo.waitForText("#slip", "You wrote −0.34°. Your readings give +0.34°");
        assertTrue(
                bo.text("#redo").contains("Practise again") && bo.text("#well").contains("Well done"));
        assertTrue(bo.find("#slip").getLocation().getY() < 844, "on the first screen");
    }

    /** Journey 14: how the wheel is read, where it is asked, in one press. */
    @Test
    void aQuestion_isAnsweredWhereItIsAsked() {
        begun(bo);
        bo.press("How to set it up, and what to check first");
        bo.waitForText(".step.shown .guide", "Before you trust it");
    }
}
