package app.galdrin.web;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Makes docs/screenshots from the demo data: {@code ./galdrin screenshots}. No part of the tests, hence its name. */
@GaldrinTest
class Screenshots {

    private static final String PASSWORD = "follow the string";

    @LocalServerPort
    private int port;

    private final Path folder = Path.of(System.getProperty("galdrin.screenshots", "target/screenshots"));

    @Test
    void ofEveryMainView() throws Exception {
        folder.toFile().mkdirs();
        String code = instructor();
        apprenticeAtTheStrings();
        apprenticeAtTheFullFront(code);
        apprenticeAtTheBeamAxle();
        apprenticeAtTheWholeJob();
    }

    private void apprenticeAtTheWholeJob() throws Exception {
        String code;
        try (var maud = new Browser(port, 1280, 800).signIn("m.aldous", PASSWORD)) {
            maud.go(taskPath(maud, "whole job")).click("form[action$='/open'] button");
            code = maud.text(".code-large");
        }
        try (var callum = new Browser(port, 390, 844)) {
            callum.go("/join?code=" + code);
            callum.all(".names label").stream()
                    .filter(l -> l.getText().contains("Callum Ige"))
                    .findFirst()
                    .orElseThrow()
                    .click();
            callum.click("main .btn-ink");
            callum.waitFor(() -> callum.path().startsWith("/sittings/"));
            callum.go(callum.path().replaceFirst("\\?.*", "") + "?step=condition");
            callum.script("document.querySelector('.step.shown .axle-drawing').scrollIntoView()");
            callum.picture(folder.resolve("condition-390.png"));
        }
    }

    private String instructor() throws Exception {
        try (var maud = new Browser(port, 1280, 800).signIn("m.aldous", PASSWORD)) {
            maud.go("/tasks/new").click("button[name=start][value=fullFront]");
            maud.waitFor(() -> maud.has("#bench"));
            maud.picture(folder.resolve("task-bench.png"));
            maud.go(taskPath(maud, "full front")).picture(folder.resolve("task.png"));
            maud.go("/marking");
            var rhea = maud.all("td a").stream()
                    .filter(a -> a.getText().startsWith("Rhea"))
                    .findFirst()
                    .orElseThrow();
            maud.go(String.valueOf(rhea.getDomProperty("href")));
            maud.picture(folder.resolve("marking-desk.png"));
            String feedback = maud.path().replace("/marking/", "/sittings/") + "/feedback";
            maud.click("#sign");
            maud.waitFor(() -> maud.find("#release").isEnabled());
            maud.click("#release");
            maud.waitForText(".bay-head", "released");
            maud.size(1280, 1500);
            maud.go(feedback).picture(folder.resolve("feedback.png"));
            maud.size(1280, 800);
            theClass(maud);
            maud.go("/bays").picture(folder.resolve("bays.png"));
            return maud.go(taskPath(maud, "full front")).text(".code-large");
        }
    }

    /** The past block: what the class made of it, the task tried out, and what marking it again would change. */
    private void theClass(Browser maud) throws Exception {
        String task = taskPath(maud, "Block 2");
        String id = task.replaceFirst(".*/tasks/", "");
        maud.size(1280, 1000);
        maud.go("/marking/class/" + id).picture(folder.resolve("class.png"));
        maud.size(1280, 800);
        maud.go("/tasks/" + id).click("#try-it");
        while (!maud.text("#progress").contains("What this means for the marks")) {
            Thread.sleep(1000); // three hundred sheets take as long as the machine is busy
        }
        maud.picture(folder.resolve("try-out.png"));
        String study = taskPath(maud, "Repeatability study");
        maud.go(study.replaceFirst(".*/tasks/", "/marking/class/") + "/variation")
                .picture(folder.resolve("variation.png"));
        maud.go("/tasks/" + id).click("#next-version");
        maud.waitFor(() -> maud.has("#bench"));
        WebElement working = maud.find("#marks-work-working");
        working.clear();
        working.sendKeys("35");
        maud.click("#set");
        maud.waitForText("h1", "Block 2");
        maud.go(maud.path().replace("/tasks/", "/marking/re-mark/"));
        maud.find("#reason").sendKeys("The working counts for more in this block");
        maud.click("#work-out");
        maud.waitFor(() -> !maud.go(maud.path()).all(".remark-table").isEmpty());
        maud.picture(folder.resolve("re-mark.png"));
    }

    private void apprenticeAtTheBeamAxle() throws Exception {
        String code;
        try (var maud = new Browser(port, 1280, 800).signIn("m.aldous", PASSWORD)) {
            code = maud.go(taskPath(maud, "mobile library")).text(".code-large");
            maud.go("/vehicles");
            maud.all("td a, th a").stream()
                    .filter(a -> a.getText().contains("Bracken"))
                    .findFirst()
                    .orElseThrow()
                    .click();
            maud.waitForText("h1", "Bracken");
            maud.picture(folder.resolve("sheet.png"));
            maud.go("/procedures").picture(folder.resolve("procedures.png"));
        }
        try (var rowan = new Browser(port, 1280, 800)) {
            rowan.go("/join?code=" + code);
            rowan.all(".names label").stream()
                    .filter(l -> l.getText().contains("Rowan Blake"))
                    .findFirst()
                    .orElseThrow()
                    .click();
            rowan.click("main .btn-ink");
            rowan.waitFor(() -> rowan.path().startsWith("/sittings/"));
            String sheet = rowan.path().replaceFirst("\\?.*", "");
            rowan.go(sheet + "?step=caster");
            for (String[] one : new String[][] {
                {"fl.frame", "0.9", "falls to rear"},
                {"fl.pad", "3.4", "leans back"},
                {"fl.knuckle", "3.6", "leans back"}
            }) {
                String field = "caster/" + one[0] + "/1/0";
                rowan.focusOn(field);
                rowan.keys(one[1]);
                WebElement way = rowan.find("select[name='" + field + ".sense']");
                way.sendKeys(one[2]);
                way.sendKeys(Keys.ENTER);
            }
            rowan.waitForText("#status", "all saved");
            rowan.picture(folder.resolve("beam-axle.png"));
        }
    }

    private static String taskPath(Browser maud, String part) {
        maud.go("/tasks");
        return String.valueOf(maud.all("td a").stream()
                .filter(a -> a.getText().contains(part))
                .findFirst()
                .orElseThrow()
                .getDomAttribute("href"));
    }

    private void apprenticeAtTheStrings() throws Exception {
        try (var piet = new Browser(port, 1280, 800).signIn("p.marlow", PASSWORD)) {
            String sheet = String.valueOf(piet.find(".list a").getDomAttribute("href"));
            piet.go(sheet + "?step=toe").picture(folder.resolve("bay-sheet.png"));
            piet.click("[data-theme-switch]");
            piet.picture(folder.resolve("bay-sheet-night.png"));
            piet.click("[data-theme-switch]");
            piet.size(390, 844);
            piet.go(sheet + "?step=toe").picture(folder.resolve("bay-sheet-390.png"));
        }
    }

    /** Caster, camber and what follows, at both widths. */
    private void apprenticeAtTheFullFront(String code) throws Exception {
        try (var lena = new Browser(port, 390, 844)) {
            lena.go("/join?code=" + code);
            lena.all(".names label").stream()
                    .filter(l -> l.getText().contains("Lena Fosse"))
                    .findFirst()
                    .orElseThrow()
                    .click();
            lena.click("input[name=bay][value='1']");
            lena.click("main .btn-ink");
            lena.waitFor(() -> lena.path().startsWith("/sittings/"));
            String sheet = lena.path().replaceFirst("\\?.*", "");
            for (String step : new String[] {"caster", "camber", "toe"}) {
                lena.go(sheet + "?step=" + step);
                FrontPractical.walk(lena, "#step-" + step + " .measure");
                lena.waitForText("#status", "all saved");
            }
            lena.size(1280, 800);
            for (String step : new String[] {"caster", "judge", "plan"}) {
                lena.go(sheet + "?step=" + step).picture(folder.resolve(step + ".png"));
            }
        }
    }
}
