package app.galdrin.web;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
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
        apprenticeAtThePlates(code);
    }

    private String instructor() throws Exception {
        try (var maud = new Browser(port, 1280, 800).signIn("m.aldous", PASSWORD)) {
            String plates = taskPath(maud, "plates");
            maud.go("/tasks/new?method=plates&asked=totalAndEach").picture(folder.resolve("task-bench.png"));
            maud.go(taskPath(maud, "first try")).picture(folder.resolve("task.png"));
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
            maud.go("/style").picture(folder.resolve("style.png"));
            return maud.go(plates).text(".code-large");
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
            piet.go(sheet + "/as-found?repeat=2").picture(folder.resolve("bay-sheet.png"));
            piet.click("[data-theme-switch]");
            piet.picture(folder.resolve("bay-sheet-night.png"));
            piet.click("[data-theme-switch]");
            piet.go(sheet + "/work").picture(folder.resolve("work.png"));
            piet.go(sheet + "/judge").picture(folder.resolve("judge.png"));
            piet.size(390, 844);
            piet.go(sheet + "/as-found?repeat=2").picture(folder.resolve("bay-sheet-390.png"));
        }
    }

    private void apprenticeAtThePlates(String code) throws Exception {
        try (var lena = new Browser(port, 390, 844)) {
            lena.go("/join?code=" + code);
            lena.click(".names input");
            lena.type("#bay", "1");
            lena.click("main .btn-ink");
            lena.waitFor(() -> lena.path().endsWith("/prepare"));
            lena.picture(folder.resolve("prepare-390.png"));
            lena.go(lena.path().replace("/prepare", "/as-found"));
            lena.focusOn("asFound/frontDistance/1");
            lena.enter("1904.5");
            lena.waitForText("#status", "all written");
            lena.picture(folder.resolve("bay-plates-390.png"));
        }
    }
}
