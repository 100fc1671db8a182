package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * The main job with two people in two browsers: a toe task set, measured, worked, judged, planned, left, handed in, marked,
 * overridden, signed, released and read. Every page on the way is clean of accessibility breaches in both themes.
 */
@GaldrinTest
class MainJobTest {

    /** The walk round the vehicle: left side down, spacing behind, right side up, spacing in front. */
    private static final String[] FIRST = {
        "62.5", "63", "63.5", "78", "77.5", "77.5", "1623", "77.5", "78.5", "78.5", "68.5", "69", "69.5", "1615.5",
        "4060"
    };

    private static final String[] SECOND = {
        "63", "63", "63,5", "78", "78", "77.5", "1623", "77.5", "78.5", "3 3/32\"", "68.5", "69", "69.5", "1615.5"
    };

    @LocalServerPort
    private int port;

    private final List<String> breaches = new ArrayList<>();

    @Test
    void aPractical_fromSettingItToTheReleasedMark() {
        try (var maud = new Browser(port, 1280, 800);
                var lena = new Browser(port, 390, 844)) {
            String task = setTask(maud);
            takeReference(maud, task);
            String code = maud.go(task).text(".code-large");
            maud.breaches().forEach(breaches::add);

            join(lena, code);
            prepare(lena);
            read(lena, "/work");
            workAndJudge(lena);
            planAndLeave(lena);
            handIn(lena);

            String desk = mark(maud, task);
            assertEquals(
                    desk.replace("/marking/", "/sittings/") + "/feedback",
                    lena.go("/sittings").find(".list a").getDomAttribute("href"));
            feedback(lena);
        }
        assertEquals(List.of(), breaches);
    }

    private String setTask(Browser maud) {
        maud.signIn("m.aldous", "follow the string").go("/tasks/new");
        maud.click("input[name=method][value=plates]");
        maud.waitForText("#preview", "Plates see the total alone");
        maud.breaches().forEach(breaches::add);
        maud.click("#bench .btn-ink");
        assertTrue(
                maud.text("#bench").contains("Plates see the total alone"),
                "a blind method is refused with the reason");
        maud.click("input[name=method][value=strings]");
        maud.type("#title", "Strings with a witness");
        maud.script(
                "document.querySelector('#sheet').selectedIndex = 1; document.querySelector('#class').selectedIndex = 1");
        maud.click("input[name=unit][value=deg]");
        maud.click("#bench .btn-ink");
        maud.waitFor(() -> maud.path().matches("/tasks/[0-9a-f-]{36}"));
        String task = maud.path();
        maud.click("section.code-card .btn-ink");
        maud.waitFor(() -> maud.has(".code-large"));
        return task;
    }

    private void takeReference(Browser maud, String task) {
        maud.go(task + "/reference");
        walk(maud, "asFound", FIRST, 1);
        maud.waitFor(() -> maud.path().contains("repeat=2"));
        walk(maud, "asFound", SECOND, 2);
        maud.waitForText("#status", "all written");
        maud.waitForText("#panel", "too close to tell");
        assertTrue(maud.text("#panel").contains("out of line"), "the instructor sees how far off the box is");
        maud.breaches().forEach(breaches::add);
    }

    /** Types a whole repeat; nothing but the digits and Enter. */
    private static void walk(Browser who, String stage, String[] readings, int repeat) {
        who.waitFor(() -> who.has("input[name='" + stage + "/wheels.fl.frontGap/" + repeat + "']"));
        who.focusOn(stage + "/wheels.fl.frontGap/" + repeat);
        for (String reading : readings) {
            who.enter(reading);
        }
        if (repeat == 2) {
            who.enter(""); // the distance between the stations stands from the first repeat
        }
    }

    private void join(Browser lena, String code) {
        lena.go("/join");
        lena.type("#code", code.toLowerCase(Locale.ROOT));
        lena.click("main .btn-ink");
        lena.breaches().forEach(breaches::add);
        lena.all(".names label").stream()
                .filter(l -> l.getText().contains("Lena Fosse"))
                .findFirst()
                .orElseThrow()
                .click();
        lena.type("#bay", "3");
        lena.click("main .btn-ink");
        lena.waitFor(() -> lena.path().endsWith("/prepare"));
    }

    private void prepare(Browser lena) {
        for (var box : lena.all(".checklist input[type=checkbox]")) {
            lena.script("arguments[0].scrollIntoView({block: 'center'})", box);
            box.click();
        }
        lena.waitForText("#status", "all written");
        lena.breaches().forEach(breaches::add);
        lena.click("#next");
    }

    private void read(Browser lena, String next) {
        lena.waitFor(() -> lena.path().endsWith("/as-found"));
        // one is misread, struck out and written again; both stay
        lena.focusOn("asFound/hubGap.fl/1");
        lena.enter("75.5");
        walk(lena, "asFound", FIRST, 1);
        lena.waitFor(() -> lena.path().contains("repeat=2"));
        walk(lena, "asFound", SECOND, 2);
        lena.waitForText("#status", "all written");
        lena.waitForText("#panel s", "75.5");
        assertEquals("78.58 mm", lena.text(".at-wheels-rr-frontGap .says"), "echoed as understood, beside the field");
        assertFalse(lena.text("#panel").contains("out of line"), "assessment is silent about the box");
        assertEquals("3 3/32\"", lena.value("input[name='asFound/wheels.rr.frontGap/2']"));
        lena.breaches().forEach(breaches::add);
        lena.click("#next");
        lena.waitFor(() -> lena.path().endsWith(next));
    }

    private void workAndJudge(Browser lena) {
        lena.focusOn("work/total/0");
        lena.enter("-0.14"); // the right size with the wrong sign
        lena.enter("0.00");
        lena.enter("0.14");
        lena.waitForText("#status", "all written");
        assertFalse(lena.text("main").contains("slip"), "assessment is silent about slips");
        lena.breaches().forEach(breaches::add);
        lena.click("#next");
        lena.waitFor(() -> lena.path().endsWith("/judge"));
        for (String figure : new String[] {"total", "left", "right"}) {
            lena.click("input[name='judge/" + figure + "/0'][value=tooClose]");
        }
        lena.click("input[name='judge/adjustable/0'][value=yes]");
        lena.waitForText("#status", "all written");
        lena.breaches().forEach(breaches::add);
        lena.click("#next");
    }

    private void planAndLeave(Browser lena) {
        lena.waitFor(() -> lena.path().endsWith("/plan"));
        lena.click("input[name='plan/left.way/0'][value=shorten]");
        lena.focusOn("plan/left.turns/0");
        lena.enter("1/4");
        lena.click("input[name='plan/right.way/0'][value=leave]");
        lena.waitForText("#status", "all written");
        lena.breaches().forEach(breaches::add);
        lena.click("#next");
        lena.waitFor(() -> lena.path().endsWith("/as-left"));
        walk(lena, "asLeft", FIRST, 1);
        lena.waitFor(() -> lena.path().contains("repeat=2"));
        walk(lena, "asLeft", SECOND, 2);
        lena.waitForText("#status", "all written");
        lena.click("#next");
    }

    private void handIn(Browser lena) {
        lena.waitFor(() -> lena.path().endsWith("/hand-in"));
        lena.breaches().forEach(breaches::add);
        lena.click("#sheet .btn-ink");
        lena.waitForText("main", "Handed in");
        lena.go(lena.path().replace("/hand-in", "/feedback"));
        assertTrue(lena.text("main").contains("has not been released yet"));
    }

    private String mark(Browser maud, String task) {
        maud.go(task);
        maud.waitForText("#people", "Lena Fosse");
        maud.click("#people td a");
        String desk = maud.path();
        String working = maud.text("#working");
        assertTrue(working.contains("You wrote −0.14°") && working.contains("the sign the wrong way round"), working);
        assertTrue(working.contains("Rim front 62.5 mm less rear 63.5 mm, over the rim of 416 mm"), working);
        assertTrue(maud.text("#asLeft").contains("has not read the vehicle"), "what is missing is said");
        // the instructor's own as-left readings
        maud.go(desk + "/reference");
        walk(maud, "asLeft", FIRST, 1);
        maud.waitFor(() -> maud.path().contains("repeat=2"));
        walk(maud, "asLeft", SECOND, 2);
        maud.waitForText("#status", "all written");
        maud.go(desk);
        maud.breaches().forEach(breaches::add);
        override(maud);
        maud.click("#sign");
        maud.waitFor(() -> maud.find("#release").isEnabled());
        maud.click("#release");
        maud.waitForText(".bay-head", "released");
        maud.breaches().forEach(breaches::add);
        return desk;
    }

    private void override(Browser maud) {
        maud.click("#working .override summary");
        maud.type("#working input[name=marks]", "200");
        maud.type("#working input[name=reason]", "explained it at the bay");
        maud.click("#working .override .btn");
        maud.waitForText("#working", "“200” was read");
        assertEquals("explained it at the bay", maud.value("#working input[name=reason]"));
        maud.find("#working input[name=marks]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "17,5");
        maud.click("#working .override .btn");
        maud.waitForText("#working", "Marked 17.5 by the instructor: explained it at the bay");
    }

    private void feedback(Browser lena) {
        lena.click(".list a");
        lena.waitForText("main", "Marked 17.5 by the instructor");
        String page = lena.text("main");
        assertTrue(page.contains("You wrote −0.14°; your own readings give +0.14°"), page);
        assertTrue(page.contains("too close to tell"));
        assertTrue(lena.has("figure.tolerance svg"));
        lena.breaches().forEach(breaches::add);
    }
}
