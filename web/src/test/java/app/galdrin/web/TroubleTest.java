package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Slot;
import app.galdrin.web.sitting.Stage;
import app.galdrin.web.task.Tasks;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.WindowType;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What goes wrong in a workshop: the network, the session, the database, two tabs, the back button, impatient fingers. */
@GaldrinTest
class TroubleTest {

    private static final Slot FRONT = new Slot(Stage.AS_FOUND, "frontDistance", 1);
    private static final Slot REAR = new Slot(Stage.AS_FOUND, "rearDistance", 1);

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
    private Browser browser;

    @BeforeEach
    void atTheBay() {
        centre = centres.plates();
        sitting = centre.sitting(tasks, sittings);
        browser = new Browser(port, 1280, 800).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        browser.go(path("as-found"));
    }

    @AfterEach
    void leave() {
        browser.close();
    }

    private String path(String stage) {
        return "/sittings/" + sitting.id() + "/" + stage;
    }

    private void write(Slot slot, String text) {
        browser.focusOn(slot.key());
        browser.enter(text);
    }

    private List<String> written() {
        return sittings.log(centre.id(), sitting.id()).entries().stream()
                .map(Entry::written)
                .toList();
    }

    @Test
    void wiFiThatDrops_losesNothing_andSendsNothingTwice() {
        write(FRONT, "1904.5");
        browser.waitForText("#status", "all written");
        browser.offline(true);
        write(REAR, "1908");
        browser.waitForText("#status", "1 kept on this device");
        write(FRONT, "1905"); // changed his mind while away
        browser.waitForText("#status", "2 kept on this device");
        browser.offline(false);
        browser.script("window.dispatchEvent(new Event('online'))");
        browser.waitForText("#status", "all written");
        assertEquals(List.of("1904.5", "1908", "1905"), written());
    }

    @Test
    void aSessionThatRanOut_keepsWhatWasTyped_andSendsItAfterSigningIn() {
        jdbc.update(
                "delete from spring_session where principal_name = ?",
                centre.apprentice().signIn());
        write(FRONT, "1904.5");
        browser.waitForText("#status", "Your sign-in has run out");
        assertEquals("1904.5", browser.value("input[name='" + FRONT.key() + "']"));
        browser.signIn(centre.apprentice().signIn(), Centre.PASSWORD).go(path("as-found"));
        browser.waitFor(() -> written().equals(List.of("1904.5")));
        browser.waitForText("#panel", "1904");
    }

    @Test
    void aTextThatWasNotUnderstood_isStillThere_afterAReload() {
        write(FRONT, "nineteen hundred");
        browser.waitForText(".at.bad .says", "it is no figure");
        browser.go(path("as-found"));
        assertEquals("nineteen hundred", browser.value("input[name='" + FRONT.key() + "']"));
        assertEquals(List.of(), written());
        browser.script(
                "const f = document.querySelector('input[name=\"' + arguments[0] + '\"]'); f.value = '7'.repeat(1 << 20);"
                        + "f.dispatchEvent(new Event('change', { bubbles: true }))",
                FRONT.key());
        browser.waitForText(".at.bad .says", "far too long");
        assertEquals(1 << 20, browser.value("input[name='" + FRONT.key() + "']").length());
    }

    @Test
    void twoTabs_keepBoth_andSaySo() {
        String first = browser.driver().getWindowHandle();
        browser.driver().switchTo().newWindow(WindowType.TAB);
        browser.size(1280, 800);
        browser.go(path("as-found"));
        write(FRONT, "1904.5");
        browser.waitForText("#status", "all written");
        browser.driver().switchTo().window(first);
        write(FRONT, "1905");
        browser.waitFor(() -> written().size() == 2);
        browser.waitForText("#status", "also being written on another device or in another tab");
        browser.waitForText("#panel s", "1904.5");
        assertEquals(List.of("1904.5", "1905"), written());
    }

    @Test
    void theBackButton_showsWhatStands() {
        write(FRONT, "1904.5");
        browser.waitForText("#status", "all written");
        browser.click("#next");
        browser.waitFor(() -> browser.path().endsWith("/work"));
        browser.driver().navigate().back();
        browser.waitFor(() -> browser.has("input[name='" + FRONT.key() + "']"));
        assertEquals("1904.5", browser.value("input[name='" + FRONT.key() + "']"));
        assertEquals(List.of("1904.5"), written());
    }

    @Test
    void handedInTwice_isHandedInOnce_andTheOldPageSaysItIsClosed() {
        browser.go(path("hand-in"));
        browser.script("const f = document.querySelector('#sheet'); const b = f.querySelector('button');"
                + "f.requestSubmit(b); f.requestSubmit(b)");
        browser.waitForText("main", "Handed in");
        assertEquals(List.of("done"), written());
        browser.driver().navigate().back();
        browser.go(path("as-found"));
        assertTrue(browser.text("main").contains("Nothing more can be written here"));
        assertEquals(List.of("done"), written());
    }

    @Test
    void aDatabaseRestarted_underARunningPage_losesNothing() throws Exception {
        write(FRONT, "1904.5");
        browser.waitForText("#status", "all written");
        String restart = System.getenv("GALDRIN_TEST_DB_RESTART");
        assertTrue(restart != null && !restart.isBlank(), "run the tests with ./galdrin test");
        var restarting = new ProcessBuilder(restart.split(" ")).inheritIO().start();
        write(REAR, "1908");
        assertEquals(0, restarting.waitFor());
        browser.waitFor(() -> written().equals(List.of("1904.5", "1908")));
        browser.go(path("as-found"));
        assertEquals("1908", browser.value("input[name='" + REAR.key() + "']"));
    }

    @Test
    void aStrikeOut_takesTheFigureOut_andKeepsItOnTheSheet() {
        write(FRONT, "1904.5");
        browser.waitForText("#panel", "1904");
        browser.focusOn(FRONT.key());
        browser.click("#strike");
        browser.waitForText("#panel s", "1904.5");
        assertEquals("", browser.value("input[name='" + FRONT.key() + "']"));
        assertTrue(sittings.log(centre.id(), sitting.id()).at(FRONT).isEmpty());
    }
}
