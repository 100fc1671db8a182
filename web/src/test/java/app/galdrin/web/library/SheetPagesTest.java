package app.galdrin.web.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.written.Cell;
import app.galdrin.core.spec.written.RowKind;
import app.galdrin.core.spec.written.SheetDocument;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.task.Tasks;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.web.util.HtmlUtils;

/** A sheet is written as a new issue, whole or not at all, and what ran on the old one keeps it. */
@GaldrinTest
class SheetPagesTest {

    private static final Pattern INPUT = Pattern.compile("<input id=\"([a-z]+\\.[^\"]+)\"[^>]*? value=\"([^\"]*)\"");
    private static final Pattern SELECT = Pattern.compile("(?s)<select id=\"([a-z]+\\.[^\"]+)\".*?</select>");
    private static final Pattern CHOSEN = Pattern.compile("<option value=\"([^\"]*)\" selected");

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Library library;

    @Autowired
    private Tasks tasks;

    private Centre centre;
    private SheetVersion first;
    private Visitor teacher;

    @BeforeEach
    void openAPage() {
        centre = centres.plates();
        first = library.newestSheets(centre.id()).get(0);
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
    }

    private String edit() {
        return "/vehicles/" + first.id() + "/edit";
    }

    /** What the page holds, as a browser would send it. */
    private static Map<String, String> fields(String page) {
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher input = INPUT.matcher(page);
        while (input.find()) {
            fields.put(input.group(1), HtmlUtils.htmlUnescape(input.group(2)));
        }
        Matcher select = SELECT.matcher(page);
        while (select.find()) {
            Matcher chosen = CHOSEN.matcher(select.group());
            assertTrue(chosen.find(), select.group(1));
            fields.put(select.group(1), HtmlUtils.htmlUnescape(chosen.group(1)));
        }
        return fields;
    }

    private Map<String, String> typed() {
        return fields(teacher.get(edit()).body());
    }

    private HttpResponse<String> press(String action, Map<String, String> typed) {
        return press(teacher, edit(), action, typed);
    }

    private static HttpResponse<String> press(Visitor who, String path, String action, Map<String, String> typed) {
        Map<String, String> form = new LinkedHashMap<>(typed);
        form.put("action", action);
        return who.post(path, form);
    }

    private SheetVersion newest() {
        return library.versions(centre.id(), first.vehicleId()).get(0);
    }

    private static double least(SheetVersion sheet, String figure) {
        return Math.toDegrees(sheet.sheet()
                .limits(FigureId.parse(figure).orElseThrow())
                .orElseThrow()
                .min()
                .getAsDouble());
    }

    @Test
    void aNewIssue_isWrittenWithItsReason_andATaskKeepsTheOneItWasSetWith() {
        var typed = typed();
        HttpResponse<String> same = press("check", typed);
        assertEquals(422, same.statusCode());
        assertTrue(same.body().contains("This is the same as issue A"));
        typed.put("figures.0.min", "2°30'");
        typed.put("geometry.armLength", "");
        typed.put("wheels.1.rimDiameter", "441");
        String checked = press("check", typed).body();
        assertTrue(checked.contains("Issue B compared with issue A") && checked.contains("From +2.50°"), checked);
        assertTrue(checked.contains("416\u00a0mm in front, 441\u00a0mm at the rear"));
        HttpResponse<String> without = press("write", typed);
        assertTrue(without.statusCode() == 422 && without.body().contains("Give a reason for the new issue"));
        typed.put("reason", "<b>Bulletin</b> 7");
        HttpResponse<String> written = press("write", typed);
        assertEquals(302, written.statusCode(), written.body());
        SheetVersion second = newest();
        assertEquals(2, second.version());
        assertEquals(centre.instructor().displayName(), second.written().author());
        assertEquals(2.5, least(second, "caster.front.left"), 1e-9);
        assertEquals(2.9, least(first, "caster.front.left"), 1e-9);
        assertTrue(second.sheet().geometry().armLength().isEmpty());
        String page = teacher.get("/vehicles/" + second.id()).body();
        assertTrue(page.contains("&lt;b&gt;Bulletin&lt;/b&gt; 7") && page.contains("Changes from issue A"));
        assertTrue(page.contains("the amount is not known"), page);
        assertTrue(tasks.bays(centre.id(), centre.taskId()).stream()
                .allMatch(b -> b.sheet().id().equals(first.id())));
        assertEquals(200, teacher.get("/vehicles/" + second.id() + "/edit").statusCode());
        assertTrue(teacher.get(edit())
                .body()
                .contains("These are the figures of issue A. If you save them, they follow issue B."));
        assertEquals(second.id(), library.newestSheets(centre.id()).get(0).id());
    }

    @Test
    void everythingWrong_isSaidAtOnce_andNothingTypedIsLost() {
        var typed = typed();
        typed.put("figures.0.min", "4,5,6");
        typed.put("figures.1.min", "\"><script>");
        typed.put("figures.1.over", "400 mm");
        typed.put("geometry.wheelbase", "27.6");
        typed.put("parts.0.fastener", "wing nut");
        typed.put("reason", "try");
        HttpResponse<String> refused = press("write", typed);
        assertEquals(422, refused.statusCode());
        String page = refused.body();
        for (String sentence : List.of(
                "Figures, row 1, Minimum: “4,5,6”",
                "Dimensions, Wheelbase: “27.6” cannot be right. It must be between 500 and 15000 mm",
                "is not in the list below",
                "is only for figures in millimetres")) {
            assertTrue(page.contains(sentence), sentence);
        }
        assertFalse(page.contains("<script>\"") || page.contains("\"><script>"));
        assertEquals(typed.get("figures.1.min"), fields(page).get("figures.1.min"));
        assertEquals("27.6", fields(page).get("geometry.wheelbase"));
        assertTrue(page.contains("value=\"try\""));
        assertEquals(1, newest().version());
    }

    @Test
    void rows_areAddedAndTakenOut_withWhatIsTyped() {
        var typed = typed();
        typed.put("figures.0.min", "2.8");
        typed.put("add", "fasteners");
        var added = fields(teacher.post(edit(), typed).body());
        assertEquals("2.8", added.get("figures.0.min"));
        assertTrue(added.containsKey("fasteners.0.name"));
        added.put("remove", "figures.0");
        var taken = fields(teacher.post(edit(), added).body());
        assertEquals(added.get("figures.1.min"), taken.get("figures.0.min"));
        assertTrue(teacher.post(edit(), Map.of("remove", "figures.999999")).statusCode() < 500);
    }

    /** As many rows as a sheet can have, every cell of them sent: none of it is cut off on the way. */
    @Test
    void theLargestSheet_isReadWhole() {
        Map<String, String> typed = typed();
        for (RowKind kind : RowKind.values()) {
            for (int i = 0; i < kind.most() && !kind.single(); i++) {
                for (Cell cell : kind.cells()) {
                    typed.putIfAbsent(kind.key() + "." + i + "." + cell.key(), "");
                }
            }
        }
        assertTrue(typed.size() > 1500, () -> typed.size() + " cells");
        typed.put("fasteners.39.name", "the last one");
        HttpResponse<String> checked = press("check", typed);
        assertEquals(200, checked.statusCode());
        assertTrue(checked.body().contains("the last one"));
    }

    /** Two write at the same instant: one issue comes of it, and the other is told whose it was with all he typed. */
    @Test
    void ofTwoWriters_oneIsToldOfTheOther() throws Exception {
        var typed = typed();
        typed.put("reason", "mine");
        List<Callable<HttpResponse<String>>> both = new ArrayList<>();
        for (String least : List.of("2.7", "2.6")) {
            var who = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
            Map<String, String> own = new LinkedHashMap<>(typed);
            own.put("figures.0.min", least);
            who.get(edit());
            both.add(() -> press(who, edit(), "write", own));
        }
        var pool = Executors.newFixedThreadPool(2);
        List<HttpResponse<String>> answers = new ArrayList<>();
        for (var answer : pool.invokeAll(both)) {
            answers.add(answer.get());
        }
        pool.shutdown();
        assertEquals(
                List.of(302, 422),
                answers.stream().map(HttpResponse::statusCode).sorted().toList());
        String body = answers.stream()
                .filter(a -> a.statusCode() == 422)
                .findFirst()
                .orElseThrow()
                .body();
        assertTrue(body.contains("has saved issue B meanwhile"), body);
        assertTrue(body.contains("/vehicles/" + newest().id() + "/edit"), "the next press comes after the other's");
        assertEquals(2, newest().version());
    }

    @ParameterizedTest
    @ValueSource(strings = {"json", "csv"})
    void aFile_goesRound(String form) {
        String path = "/vehicles/" + first.id() + "/sheet." + form;
        HttpResponse<String> file = teacher.get(path);
        assertTrue(
                file.headers().firstValue("Content-Disposition").orElseThrow().contains(form));
        String changed = file.body().replace("2.9", "2.75");
        String page = teacher.post("/vehicles/import", Map.of("text", changed)).body();
        assertTrue(page.contains("This was read from the file and is not saved yet"), page);
        var typed = fields(page);
        typed.put("reason", "from the file");
        assertEquals(302, press("write", typed).statusCode());
        assertEquals(2.75, least(newest(), "caster.front.right"), 1e-9);
        if (form.equals("json")) {
            assertTrue(SheetDocument.read(file.body()) instanceof WrittenSheet.ParsedSheet);
        }
    }

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '`',
            value = {
                "`{}`, must start with",
                "`{`, cannot be read as JSON",
                "hello, cannot be read as a table",
                "``, cannot be read as a table",
                "`row,make\nwing,x`, “wing” is not a kind of row",
                "`row,make\nvehicle,x`, “Dimensions” is missing",
            })
    void aWrongFile_isNamedLineByLine_andStaysThere(String text, String sentence) {
        HttpResponse<String> refused = teacher.post("/vehicles/import", Map.of("text", text));
        assertEquals(422, refused.statusCode());
        String page = refused.body();
        assertTrue(page.contains(sentence), page);
        assertTrue(page.contains(HtmlUtils.htmlEscape(text)));
    }

    @Test
    void aNewVehicle_isAdded_butNeverUnderARegistrationThatIsTaken() {
        String file = teacher.get("/vehicles/" + first.id() + "/sheet.json").body();
        String taken = teacher.post("/vehicles/import", Map.of("text", file.replace("Quendle", "Orlin")))
                .body();
        assertTrue(taken.contains("belongs to a Quendle Parcel 9 here"), taken);
        String page = teacher.post("/vehicles/import", Map.of("text", file.replace(first.registration(), "N 1")))
                .body();
        assertTrue(page.contains("New vehicle and specification"), page);
        var typed = fields(page);
        typed.put("vehicle.registration", first.registration());
        HttpResponse<String> twice = press(teacher, "/vehicles/new", "write", typed);
        assertTrue(twice.statusCode() == 422 && twice.body().contains("is there twice"), twice.body());
        typed.put("vehicle.registration", "N 1");
        assertEquals(302, press(teacher, "/vehicles/new", "write", typed).statusCode());
        assertEquals(2, library.newestSheets(centre.id()).size());
        assertTrue(teacher.get("/vehicles/new").body().contains("The vehicle itself"));
    }

    @Test
    void onlyInstructors_write_andOnlyTheirOwnCentresSheets() {
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        for (String path : List.of(edit(), "/vehicles/new", "/vehicles/import")) {
            assertEquals(403, apprentice.get(path).statusCode(), path);
            assertEquals(403, apprentice.post(path, Map.of("action", "write")).statusCode(), path);
        }
        assertEquals(
                200, apprentice.get("/vehicles/" + first.id() + "/sheet.csv").statusCode());
        assertFalse(apprentice.get("/vehicles/" + first.id()).body().contains("Write the next issue"));
        var stranger = new Visitor(port).signIn("m.aldous", "follow the string");
        for (String path : List.of("", "/edit", "/sheet.json", "/sheet.csv")) {
            assertEquals(404, stranger.get("/vehicles/" + first.id() + path).statusCode(), path);
        }
        assertEquals(404, press(stranger, edit(), "write", typed()).statusCode());
        UUID other = library.newestSheets(centres.plates().id()).get(0).id();
        assertEquals(404, teacher.get("/vehicles/" + other + "/sheet.json").statusCode());
        assertEquals(
                200,
                teacher.get("/vehicles/" + first.id() + "?against=" + other).statusCode());
    }

    /** With a file from the disk, Enter in a cell, and every page of it by keyboard and for a screen reader. */
    @Test
    void inTheBrowser_aFileFillsThePage_andEnterChecksIt(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("sheet.csv");
        Files.writeString(
                file,
                teacher.get("/vehicles/" + first.id() + "/sheet.csv").body().replace("2.9", "2.85"));
        List<String> breaches = new ArrayList<>();
        try (var browser =
                new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD)) {
            browser.go("/vehicles/import").type("#file", file.toString());
            browser.waitFor(() -> browser.value("#text").startsWith("row,"));
            breaches.addAll(browser.breaches());
            browser.click("main form .btn-ink");
            browser.waitForText(".notice", "is not saved yet");
            browser.type("[id='geometry.steeringRatio']", "x");
            browser.script("document.getElementById('geometry.wheelbase').focus()");
            browser.enter("1");
            browser.waitForText(".caution", "1 entry needs correcting");
            assertEquals("12760", browser.value("[id='geometry.wheelbase']"));
            breaches.addAll(browser.breaches());
            browser.script("document.getElementById('geometry.wheelbase').value = '2760';"
                    + "document.getElementById('geometry.steeringRatio').value = ''");
            browser.type("#reason", "the ratio is not known");
            browser.click(".written-end .btn-ink");
            browser.waitForText(".notice", "Issue B is saved");
            breaches.addAll(browser.breaches());
            for (String page : List.of("/vehicles", "/vehicles/new", "/procedures", "/procedures/sweep")) {
                breaches.addAll(browser.go(page).breaches());
            }
        }
        assertEquals(List.of(), breaches);
        assertEquals(2.85, least(newest(), "caster.front.left"), 1e-9);
    }
}
