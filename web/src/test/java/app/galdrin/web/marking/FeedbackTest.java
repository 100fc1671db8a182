package app.galdrin.web.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Sitting;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What an apprentice gets after release: on the page, on paper, and asked once more. */
@GaldrinTest
class FeedbackTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private MarkSheets sheets;

    @Autowired
    private JdbcTemplate jdbc;

    private Centre centre;
    private Sitting sitting;
    private Visitor apprentice;

    @BeforeEach
    void wroteMillimetres() {
        centre = centres.plates();
        centres.reference(centre);
        sitting = centres.sat(centre, "Ada", "3", true);
        apprentice = new Visitor(port).signIn("Ada." + centre.id(), Centre.PASSWORD);
    }

    private String path(String end) {
        return "/sittings/" + sitting.id() + "/" + end;
    }

    private int tries() {
        return jdbc.queryForObject("select count(*) from second_try where centre_id = ?", Integer.class, centre.id());
    }

    private void answer(String typed) {
        apprentice.post(path("again"), Map.of("figure", "totalToe.front", "answer", typed));
    }

    @Test
    void beforeRelease_thereIsNothing() {
        assertEquals(404, apprentice.get(path("feedback.pdf")).statusCode());
        assertEquals(
                404,
                apprentice
                        .post(path("again"), Map.of("figure", "totalToe.front", "answer", "1"))
                        .statusCode());
        assertEquals(0, tries());
    }

    @Test
    void theSameQuestion_comesOnceMore_withOneTry() {
        sheets.release(centre.instructor(), sitting, Ids.next().toString());
        String page = apprentice.get(path("feedback")).body();
        assertTrue(page.contains("Same question, other numbers"), page);
        assertTrue(page.contains("Practise: units and lengths."), "what to practise");
        assertTrue(page.contains("A difference in millimetres becomes an angle only"), "why it is a slip");
        answer("later");
        assertTrue(apprentice.get(path("feedback")).body().contains("“later” was read"));
        answer("");
        assertEquals(0, tries(), "what can't be read uses nothing up");
        answer("9");
        String tried = apprentice.get(path("feedback")).body();
        var right = Pattern.compile("These readings give ([^<]*)\\.").matcher(tried);
        assertTrue(right.find(), tried);
        answer(right.group(1));
        assertEquals(1, tries());
        assertTrue(apprentice.get(path("feedback")).body().contains(": wrong"), "one try");
        assertEquals(
                404,
                apprentice
                        .post(path("again"), Map.of("figure", "toe.rear.left", "answer", "1"))
                        .statusCode());
        Visitor teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        assertTrue(teacher.get(path("feedback")).body().contains(": wrong"), "the instructor sees it");
        assertEquals(
                404,
                teacher.post(path("again"), Map.of("figure", "totalToe.front", "answer", "1"))
                        .statusCode());
    }

    /** The steps are those that were stored when it was signed, whatever the engine would make of the readings now. */
    @Test
    void released_theWorkingIsShownAsItWasStored() {
        sheets.release(centre.instructor(), sitting, Ids.next().toString());
        assertTrue(apprentice.get(path("feedback")).body().contains("1908 − 1905"));
        // another sheet, as an engine with another working would have stored it
        jdbc.update("""
                insert into mark_sheet (centre_id, sitting_id, person_id, number, engine, entry_seq, reference_seqs, total, available,
                  percent, competent, complete, made_by)
                select centre_id, sitting_id, person_id, number + 1, engine, entry_seq, reference_seqs, total, available,
                  percent, competent, complete, made_by from mark_sheet where centre_id = ? and sitting_id = ?
                """, centre.id(), sitting.id());
        jdbc.update("""
                insert into mark_line (centre_id, sitting_id, person_id, number, ordinal, step, aspect, available, must_pass, credit,
                  computed, evidence_version, evidence)
                select centre_id, sitting_id, person_id, number + 1, ordinal, step, aspect, available, must_pass, credit,
                  computed, evidence_version, replace(evidence::text, '1908', '1917')::jsonb
                from mark_line where centre_id = ? and sitting_id = ?
                """, centre.id(), sitting.id());
        String page = apprentice.get(path("feedback")).body();
        assertTrue(page.contains("1917 − 1905"), page);
    }

    @Test
    void onPaper_itIsTheWholeSheet() throws Exception {
        sheets.release(centre.instructor(), sitting, Ids.next().toString());
        try (var document = Loader.loadPDF(apprentice.bytes(path("feedback.pdf")))) {
            String text = new PDFTextStripper().getText(document);
            assertTrue(text.contains("Ada") && text.contains("Plates"), text);
            assertTrue(text.contains("millimetres and degrees confused"), text);
            assertTrue(text.contains("1908 − 1905"), "his own numbers in the calculation");
            assertFalse(text.contains("???"), text);
        }
        Visitor neighbour = new Visitor(port).signIn(centre.neighbour().signIn(), Centre.PASSWORD);
        assertEquals(404, neighbour.get(path("feedback.pdf")).statusCode());
    }
}
