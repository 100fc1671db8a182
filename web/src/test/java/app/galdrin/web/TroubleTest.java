package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.WindowType;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;

/** What goes wrong in a workshop: the network, the session, the database, two tabs, the back button, impatient fingers. */
@GaldrinTest
class TroubleTest {

    private static final String FRONT = "found/frontDistance/1/0";
    private static final String REAR = "found/rearDistance/1/0";

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
        browser.go(path("found"));
    }

    @AfterEach
    void leave() {
        browser.close();
    }

    private String path(String step) {
        return "/sittings/" + sitting.id() + "?step=" + step;
    }

    private void write(String line, String text) {
        browser.focusOn(line);
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
        browser.waitForText("#status", "all saved");
        browser.offline(true);
        write(REAR, "1908");
        browser.waitForText("#status", "1 saved on this device");
        write(FRONT, "1905"); // changed his mind while away
        browser.waitForText("#status", "2 saved on this device");
        browser.offline(false);
        browser.script("window.dispatchEvent(new Event('online'))");
        browser.waitForText("#status", "all saved");
        assertEquals(List.of("1904.5", "1908", "1905"), written());
    }

    /** A server that is away tells the browser nothing when it is back: the sheet tries again by itself, and says so. */
    @Test
    void aServerThatWasAway_getsWhatWasWritten_andTheSheetSaysSo() {
        browser.unreachable("*/entries");
        write(FRONT, "1904.5");
        browser.waitForText("#status", "1 saved on this device");
        browser.unreachable();
        browser.waitForText("#status", "all saved");
        assertEquals(List.of("1904.5"), written());
    }

    @Test
    void aSessionThatRanOut_keepsWhatWasTyped_andSendsItAfterSigningIn() {
        jdbc.update(
                "delete from spring_session where principal_name = ?",
                centre.apprentice().personId().toString());
        write(FRONT, "1904.5");
        browser.waitForText("#status", "Your session ended");
        assertEquals("1904.5", browser.value("input[name='" + FRONT + "']"));
        browser.signIn(centre.apprentice().signIn(), Centre.PASSWORD).go(path("found"));
        browser.waitFor(() -> written().equals(List.of("1904.5")));
        browser.waitForText("#panel-found", "1904");
    }

    @Test
    void aTextThatWasNotUnderstood_isStillThere_afterAReload() {
        write(FRONT, "nineteen hundred");
        browser.waitForText(".at.bad .says", "is not a number");
        browser.go(path("found"));
        assertEquals("nineteen hundred", browser.value("input[name='" + FRONT + "']"));
        assertEquals(List.of(), written());
        browser.script(
                "const f = document.querySelector('input[name=\"' + arguments[0] + '\"]'); f.value = '7'.repeat(1 << 20);"
                        + "f.dispatchEvent(new Event('change', { bubbles: true }))",
                FRONT);
        browser.waitForText(".at.bad .says", "too long");
        assertEquals(1 << 20, browser.value("input[name='" + FRONT + "']").length());
    }

    @Test
    void twoTabs_keepBoth_andSaySo() {
        String first = browser.driver().getWindowHandle();
        browser.driver().switchTo().newWindow(WindowType.TAB);
        browser.size(1280, 800);
        browser.go(path("found"));
        write(FRONT, "1904.5");
        browser.waitForText("#status", "all saved");
        browser.driver().switchTo().window(first);
        write(FRONT, "1905");
        browser.waitFor(() -> written().size() == 2);
        browser.waitForText("#status", "Another person wrote here at the same time");
        browser.go(path("found"));
        browser.waitForText("[role=alert]", "Two");
        browser.waitForText("#panel-found .disputed", "1904.5");
        assertEquals(List.of("1904.5", "1905"), written());
        write(FRONT, "1905.5"); // whoever sees both settles it
        browser.waitForText("#panel-found s", "1904.5");
        browser.go(path("found"));
        assertFalse(browser.has("#panel-found .disputed"));
    }

    @Test
    void theBackButton_showsWhatStands() {
        write(FRONT, "1904.5");
        browser.waitForText("#status", "all saved");
        browser.click("#next");
        browser.waitFor(() -> browser.path().endsWith("?step=work"));
        browser.driver().navigate().back();
        browser.waitFor(() -> browser.has("input[name='" + FRONT + "']"));
        assertEquals("1904.5", browser.value("input[name='" + FRONT + "']"));
        assertEquals(List.of("1904.5"), written());
    }

    @Test
    void handedInTwice_isHandedInOnce_andTheOldPageSaysItIsClosed() {
        browser.go(path("handIn"));
        browser.click("[data-hand-in]");
        browser.script("const yes = document.querySelector('[data-ask-yes]'); yes.click(); yes.click()");
        browser.waitForText("main", "Handed in. Nothing more");
        assertEquals(List.of("done"), written());
        browser.driver().navigate().back();
        browser.go(path("found"));
        assertTrue(browser.text("main").contains("Handed in. Nothing more"));
        assertEquals(List.of("done"), written());
    }

    @Test
    void aDatabaseRestarted_underARunningPage_losesNothing() throws Exception {
        write(FRONT, "1904.5");
        browser.waitForText("#status", "all saved");
        var restarting = TestDatabase.told("restart");
        write(REAR, "1908");
        assertEquals(0, restarting.waitFor());
        browser.waitFor(() -> readAfterTheRestart().equals(List.of("1904.5", "1908")));
        browser.go(path("found"));
        assertEquals("1908", browser.value("input[name='" + REAR + "']"));
    }

    /** What this test reads itself may get a connection that the restart ended, or none; then there is nothing to read yet. */
    private List<String> readAfterTheRestart() {
        try {
            return written();
        } catch (DataAccessException e) {
            return List.of();
        }
    }

    @Test
    void aStrikeOut_takesTheFigureOut_andKeepsItOnTheSheet() {
        write(FRONT, "1904.5");
        browser.waitForText("#panel-found", "1904");
        browser.focusOn(FRONT);
        browser.click("#strike");
        browser.waitForText("#panel-found s", "1904.5");
        assertEquals("", browser.value("input[name='" + FRONT + "']"));
        assertTrue(sittings.log(centre.id(), sitting.id())
                .at(LineKey.parse(FRONT).orElseThrow())
                .isEmpty());
    }

    /** One entry that can never be written stands aside with its sentence; what comes behind it is written. */
    @Test
    void whatCanNeverBeWritten_holdsNothingUp() {
        browser.script(
                "localStorage.setItem('galdrin.queue.' + arguments[0], JSON.stringify([{ line: 'found/gone/1/0', text: '7',"
                        + " strike: false, saw: [], key: 'a-key-of-a-line-gone', deviceSeq: 1, writtenAt: Date.now() }]))",
                sitting.id().toString());
        browser.go(path("found"));
        write(FRONT, "1904.5");
        browser.waitFor(() -> written().equals(List.of("1904.5")));
        browser.waitForText("[data-aside]", "7");
        browser.click("[data-aside-done]");
        browser.waitFor(() -> !browser.find("[data-aside]").isDisplayed());
    }
}
