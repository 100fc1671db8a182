package app.galdrin.web.moderation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import java.math.BigDecimal;
import java.net.URI;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A verifier's sample over real requests. */
@GaldrinTest
class ModerationTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private People people;

    @Autowired
    private Sittings sittings;

    @Autowired
    private MarkSheets sheets;

    private Centre centre;
    private Visitor teacher;
    private Visitor verifier;
    private List<Sitting> sat = new ArrayList<>();

    @BeforeEach
    void sixAreReleased() {
        centre = centres.plates();
        centres.reference(centre);
        sat = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            sat.add(centres.sat(centre, "Person" + i, "0.34", false));
        }
        var working = new Criterion.Id("work", Aspect.WORKING);
        sheets.override(
                centre.instructor(),
                sat.get(2),
                working,
                new BigDecimal("7"),
                "seen",
                Ids.next().toString());
        for (Sitting one : sat) {
            sheets.sign(centre.instructor(), one, Ids.next().toString());
            sheets.release(centre.instructor(), one, Ids.next().toString());
        }
        String name = "v." + centre.id();
        people.add(centre.id(), Role.VERIFIER, "Vera", name, Centre.PASSWORD);
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        verifier = new Visitor(port).signIn(name, Centre.PASSWORD);
    }

    private Map<String, String> rule(String percent) {
        return new HashMap<>(Map.of(
                "task",
                centre.taskId().toString(),
                "key",
                Ids.next().toString(),
                "seed",
                "42",
                "percent",
                percent,
                "borderline",
                "0"));
    }

    private String draw(String percent) {
        return draw(rule(percent));
    }

    private String draw(Map<String, String> rule) {
        var response = verifier.post("/marking/moderation", rule);
        assertEquals(302, response.statusCode());
        return URI.create(response.headers().firstValue("Location").orElseThrow())
                .getPath();
    }

    @Test
    void aSample_isDrawnBySeed_agreedTo_andReturned() throws Exception {
        Map<String, String> rule = rule("34");
        String path = draw(rule);
        assertEquals(path, draw(rule), "a form sent twice draws once");
        String page = verifier.get(path).body();
        assertEquals(
                page.split("/stored/", -1).length,
                verifier.get(draw("34")).body().split("/stored/", -1).length);
        assertTrue(page.contains("Random share 34 % with seed 42") && page.contains("mark given by hand"), page);
        String byHand = sat.get(2).id().toString();
        assertEquals(
                302,
                verifier.post(path + "/" + byHand, Map.of("decision", "return")).statusCode());
        assertTrue(verifier.get(path).body().contains("A return needs a reason"));
        verifier.post(path + "/" + byHand, Map.of("decision", "return", "reason", "seven of twenty for what?"));
        assertTrue(verifier.get(path).body().contains("1 returned"));
        verifier.post(path + "/" + byHand, Map.of("decision", "agree"));
        assertTrue(verifier.get(path).body().contains("already decided"));
        Sitting back = sittings.sitting(centre.instructor(), sat.get(2).id());
        assertFalse(back.state().released() || back.state().signed());
        var queue = teacher.get("/marking");
        assertTrue(queue.body().contains("returned by the verifier"), () -> queue + queue.body());
        assertTrue(teacher.get("/marking/" + byHand).body().contains("seven of twenty for what?"));
        sheets.sign(centre.instructor(), back, Ids.next().toString());
        assertEquals(
                Optional.empty(),
                sheets.release(centre.instructor(), back, Ids.next().toString()));
        assertFalse(teacher.get("/marking/" + byHand).body().contains("seven of twenty"), "signed again since");
        assertTrue(verifier.get(path).body().contains("signed again since"));
        byte[] pdf = verifier.bytes(path + "/report.pdf");
        try (var document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertTrue(text.contains("Person2") && text.contains("seven of twenty for what?"), text);
            assertTrue(text.contains("seed 42"), text);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "percent,101,“101” was read",
        "percent,few,“few” was read",
        "borderline,21,“21” was read",
        "seed,-1,“-1” was read"
    })
    void whatCanNotBeRead_isSaid_andKept(String field, String typed, String said) {
        Map<String, String> form = rule("20");
        form.put(field, typed);
        verifier.post("/marking/moderation", form);
        String page = verifier.get("/marking/moderation").body();
        assertTrue(page.contains(said), page);
        assertTrue(page.contains("value=\"" + typed + "\""));
    }

    /** Instructors see it and decide nothing; a stranger and an apprentice see nothing. */
    /** The first choice of the page is one that a sample comes of. */
    @Test
    void aTask_isOffered_onceASheetIsSigned() {
        assertTrue(verifier.get("/marking/moderation").body().contains("<option value=\"" + centre.taskId() + "\""));
        Centre unsigned = centres.plates();
        centres.reference(unsigned);
        centres.sat(unsigned, "Person", "0.34", false);
        String name = "v." + unsigned.id();
        people.add(unsigned.id(), Role.VERIFIER, "Vito", name, Centre.PASSWORD);
        String page = new Visitor(port)
                .signIn(name, Centre.PASSWORD)
                .get("/marking/moderation")
                .body();
        assertTrue(page.contains("No task has a signed sheet yet.") && !page.contains("id=\"draw\""), page);
    }

    @Test
    void onlyTheVerifier_drawsAndDecides() {
        String path = draw("100");
        assertEquals(200, teacher.get(path).statusCode());
        assertEquals(403, teacher.post("/marking/moderation", rule("20")).statusCode());
        assertEquals(
                403,
                teacher.post(path + "/" + sat.get(0).id(), Map.of("decision", "agree"))
                        .statusCode());
        Visitor stranger =
                new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
        assertEquals(404, stranger.get(path).statusCode());
        assertEquals(404, stranger.get(path + "/report.pdf").statusCode());
        Visitor apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertEquals(403, apprentice.get(path).statusCode());
    }
}
