package app.galdrin.web.demo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.web.Browser;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.Visitor;
import app.galdrin.web.task.Tasks;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** The past block of the demo, as the marks say it went. */
@GaldrinTest
class PastBlockTest {

    private static final String TITLE = "Block 2: the front of the van, toe two ways";

    private static final int OCHRE = 0x8a4f00;
    private static final int PETROL = 0x0d5c63;

    /** Made on the bars too, but one mark of a tape lies within the tape's own doubt: nobody could defend naming it. */
    private static final String WITHIN_DOUBT = "markMiscounted";

    /** Slips in what is planned and judged; those in readings and working are registered beside the procedures. */
    private static final Set<String> OTHERS =
            Set.of("wrongWay", "wrongLinkage", "movedTwice", "wholeOnEachSide", "limitsSwapped", "limitSignLost");

    @LocalServerPort
    private int port;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private Tasks tasks;

    private <T> List<T> all(Class<T> type, String select) {
        return jdbc.queryForList(select.replace("{block}", "t.title = '" + TITLE + "'"), type);
    }

    private Practical practical() {
        UUID centre = all(UUID.class, "select t.centre_id from task_version t where {block}")
                .get(0);
        UUID task =
                all(UUID.class, "select t.id from task_version t where {block}").get(0);
        return tasks.task(centre, task).practical();
    }

    private UUID sitting(String signIn) {
        return all(
                        UUID.class,
                        "select i.id from task_version t join sitting i on i.task_id = t.id join person p on p.id = i.person_id"
                                + " where {block} and p.sign_in = '" + signIn + "'")
                .get(0);
    }

    private Set<String> named(String where) {
        String select = """
                select distinct slip #>> '{}' from task_version t
                join sitting i on i.centre_id = t.centre_id and i.task_id = t.id
                join mark_line l on l.centre_id = i.centre_id and l.sitting_id = i.id
                cross join lateral jsonb_path_query(l.evidence, 'lax $[*].slips[*][*]') slip
                where {block} and """;
        return new TreeSet<>(all(String.class, select + " " + where));
    }

    @Test
    void everySlip_isMadeBySomebody_andNamed() {
        Set<String> known = practical()
                .of(Measure.class)
                .flatMap(measure -> Slips.of(measure.procedure()).stream().map(Slip::key))
                .collect(Collectors.toCollection(TreeSet::new));
        known.addAll(OTHERS);
        assertTrue(known.size() > 20, known.toString());
        assertTrue(known.remove(WITHIN_DOUBT));
        assertTrue(known.remove("wrongSense"), "nobody of this block chose a way the wrong way round");
        known.removeAll(named("true"));
        assertEquals(Set.of(), known, "made by nobody, or not recognised");
        assertEquals(Set.of("leftRightSwapped", "steeringNotStraight"), named("l.aspect = 'reading'"), "as was read");
        String rewritten = """
                select count(*) from task_version t
                join sitting i on i.centre_id = t.centre_id and i.task_id = t.id
                join entry e on e.centre_id = i.centre_id and e.sitting_id = i.id
                where {block} and e.step = 'bars' and e.saw <> '{}'""";
        assertEquals(List.of(4), all(Integer.class, rewritten), "both places of two repeats: " + WITHIN_DOUBT);
    }

    /** Three leave the vehicle outside, one of them by what its rear axle thrusts; one waits for a second reading of it. */
    @Test
    void theBlock_hasEveryOutcome() {
        String sheets = """
                select count(distinct i.id) from task_version t
                join sitting i on i.centre_id = t.centre_id and i.task_id = t.id
                join sitting_state z on z.centre_id = i.centre_id and z.sitting_id = i.id
                left join mark_sheet s on s.centre_id = i.centre_id and s.sitting_id = i.id
                where i.purpose = 'practical' and {block}""";
        assertEquals(List.of(16), all(Integer.class, sheets));
        assertEquals(List.of(1), all(Integer.class, sheets + " and not z.signed and s.number is null"));
        assertEquals(List.of(1), all(Integer.class, sheets + " and not z.signed and s.number is not null"), "returned");
        assertEquals(List.of(3), all(Integer.class, sheets + " and not s.competent"));
    }

    /** What an instructor, the verifier and one of the class see of it. */
    @Test
    void itsPages_canBeReadByEverybody() {
        UUID block =
                all(UUID.class, "select t.id from task_version t where {block}").get(0);
        UUID study = all(UUID.class, "select t.id from task_version t where t.title like 'Repeatability study%'")
                .get(0);
        UUID quick = all(UUID.class, "select t.id from task_version t where t.title = 'Front toe by plates'")
                .get(0);
        UUID sample = all(
                        UUID.class, "select m.id from moderation m join task_version t on t.id = m.task_id and {block}")
                .get(0);
        UUID felix = sitting("f.arden");
        List<String> breaches = new ArrayList<>();
        try (Browser browser = new Browser(port, 1280, 800)) {
            browser.signIn("m.aldous", "follow the string");
            for (String page : List.of(
                    "/marking/class/" + block,
                    "/marking/class/" + block + "/matching-readings",
                    "/marking/class/" + study + "/variation",
                    "/marking/re-mark/" + block,
                    "/marking/" + felix,
                    "/marking/" + felix + "/stored/1")) {
                breaches.addAll(browser.go(page).breaches());
            }
            browser.go("/tasks/" + quick).click("#try-it");
            browser.waitForText("#progress", "What this means for the marks");
            breaches.addAll(browser.breaches());
        }
        try (Browser browser = new Browser(port, 1280, 800)) {
            browser.signIn("e.varga", "follow the string");
            breaches.addAll(browser.go("/marking/moderation").breaches());
            breaches.addAll(browser.go("/marking/moderation/" + sample).breaches());
        }
        try (Browser browser = new Browser(port, 390, 800)) {
            browser.signIn("m.osei", "follow the string").go("/sittings/" + sitting("m.osei") + "/feedback");
            assertTrue(browser.has("form[action$='/again']"), "with the same question once more");
            assertTrue(browser.text("#again").contains("top leans"), "as the gauge shows it, with its way");
            breaches.addAll(browser.breaches());
        }
        assertEquals(List.of(), breaches);
    }

    /** Only what leads to a value on its tolerance rule has this ochre, and only a drawing of the measurer's tools is petrol. */
    @Test
    void onPaper_theTolerancesAreDrawn_andTheSlipWhereItStands() throws IOException {
        assertTrue(colours("k.marsh").containsAll(Set.of(OCHRE, PETROL)), "ends of the strings swapped");
        assertTrue(colours("m.osei").containsAll(Set.of(OCHRE, PETROL)), "gaps left in inches");
    }

    private Set<Integer> colours(String signIn) throws IOException {
        Visitor reader = new Visitor(port).signIn(signIn, "follow the string");
        Set<Integer> colours = new HashSet<>();
        try (var document = Loader.loadPDF(reader.bytes("/sittings/" + sitting(signIn) + "/feedback.pdf"))) {
            var pages = new PDFRenderer(document);
            for (int i = 0; i < document.getNumberOfPages(); i++) {
                BufferedImage page = pages.renderImageWithDPI(i, 144);
                Arrays.stream(page.getRGB(0, 0, page.getWidth(), page.getHeight(), null, 0, page.getWidth()))
                        .forEach(pixel -> colours.add(pixel & 0xffffff));
            }
        }
        return colours;
    }
}
