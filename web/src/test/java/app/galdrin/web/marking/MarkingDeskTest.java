package app.galdrin.web.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.marking.MarkSheet;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.MarkSheets;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.StaffLine;
import app.galdrin.web.sitting.Works;
import app.galdrin.web.task.Tasks;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Signing, overriding and releasing over real requests. */
@GaldrinTest
class MarkingDeskTest {

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
    private Works works;

    @Autowired
    private MarkSheets sheets;

    private Centre centre;
    private Sitting sitting;
    private Visitor teacher;

    @BeforeEach
    void handedIn() {
        centre = centres.plates();
        sitting = centre.sitting(tasks, sittings);
        write("found/frontDistance/1/0", "1904.5");
        write("found/rearDistance/1/0", "1908");
        write("found/frontDistance/2/0", "1905");
        write("found/rearDistance/2/0", "1908");
        write("work/totalToe.front/0/0", "0.37");
        write("handIn/done/0/0", "done");
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        desk();
    }

    private void write(String line, String text) {
        Centre.write(sittings, entries, centre.apprentice(), sitting, line, text);
    }

    private String desk() {
        return teacher.get("/marking/" + sitting.id()).body();
    }

    private void post(String action, String... form) {
        Map<String, String> all = new HashMap<>(Map.of("key", Ids.next().toString()));
        for (int i = 0; i < form.length; i += 2) {
            all.put(form[i], form[i + 1]);
        }
        assertEquals(
                302,
                teacher.post("/marking/" + sitting.id() + "/" + action, all).statusCode());
    }

    private String feedback() {
        return new Visitor(port)
                .signIn(centre.apprentice().signIn(), Centre.PASSWORD)
                .get("/sittings/" + sitting.id() + "/feedback")
                .body();
    }

    private MarkSheet sheet() {
        var now = sittings.sitting(centre.instructor(), sitting.id());
        Log log = sittings.log(centre.id(), sitting.id());
        return sheets.toShow(now, log, works.references(now, log));
    }

    @Test
    void withoutAReference_theSheetSaysWhatIsMissing() {
        assertTrue(desk().contains("reference of this state has not been taken"));
        assertTrue(
                desk().replace('\u00a0', ' ')
                        .contains(
                                "Rear 1908 mm less front 1904.5 mm is 3.5 mm. Twice the angle whose sine is 3.5 mm by twice 500 mm: +0.40°"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "21|because|The mark is a figure from 0 to 20",
                "-1|because|“-1” was read",
                "abc|because|“abc” was read",
                "1.55|because|“1.55” was read",
                "''|because|The mark is a figure",
                "12|''|needs its reason",
                "12|'  '|needs its reason"
            })
    void anOverride_thatCanNotStand_isAnsweredBesideItsLine(String marks, String reason, String sentence) {
        post("override", "criterion", "work.working", "marks", marks, "reason", reason);
        assertTrue(desk().contains(sentence));
        assertEquals("20.0", workingMarks());
    }

    private String workingMarks() {
        return sheet().lines().stream()
                .filter(l -> l.criterion().key().equals("work.working"))
                .findFirst()
                .orElseThrow()
                .marks()
                .toPlainString();
    }

    @Test
    void anOverride_standsWithItsReason_andCanBeStruckOut() {
        post("override", "criterion", "work.working", "marks", "12,5", "reason", "worked with help");
        assertTrue(desk().contains("Marked 12.5 by the instructor: worked with help"));
        assertEquals("12.5", workingMarks());
        post("override/strike", "criterion", "work.working");
        assertFalse(desk().contains("worked with help"));
        assertEquals("20.0", workingMarks());
    }

    @Test
    void release_needsASignature_ofTheMarksAsTheyStand() {
        post("release");
        assertTrue(feedback().contains("has not been released yet"), "never without a signature");
        post("sign");
        post("override", "criterion", "plan.plan", "marks", "5", "reason", "said it aloud");
        post("release");
        assertTrue(feedback().contains("has not been released yet"), "the marks changed after they were signed");
        post("sign");
        post("release");
        assertTrue(feedback().contains("Marked 5 by the instructor: said it aloud"));
    }

    @Test
    void onceReleased_nothingChangesTheMark() {
        post("sign");
        post("release");
        MarkSheet released = sheet();
        post("override", "criterion", "plan.plan", "marks", "10", "reason", "late thought");
        var task = tasks.task(centre.id(), centre.taskId());
        var reference = sittings.sitting(centre.instructor(), sittings.referenceAsFound(centre.instructor(), task, 0));
        for (int repeat = 1; repeat <= 2; repeat++) {
            for (String place : new String[] {"frontDistance", "rearDistance"}) {
                Centre.write(
                        sittings,
                        entries,
                        centre.instructor(),
                        reference,
                        "found/" + place + "/" + repeat + "/0",
                        "1904");
            }
        }
        assertEquals(released, sheet());
        post("sign");
        assertEquals(
                1,
                sittings.log(centre.id(), sitting.id()).entries().stream()
                        .filter(e -> e.line().equals(StaffLine.SIGN))
                        .count());
    }

    /** Decisions beside the marks, with what is wrong said on the desk. */
    @Test
    void givenBack_withAReason_theSheetIsOpenAgain() {
        post("give-back", "reason", " ");
        assertTrue(desk().contains("This needs its reason"));
        post("give-back", "reason", "second repeat missing");
        assertFalse(sittings.sitting(centre.instructor(), sitting.id()).state().handedIn());
        post("extra-time", "number", "0", "reason", "late");
        assertTrue(desk().contains("Between 1 and 600 minutes"));
        post("extra-time", "number", "ten", "reason", "late");
        assertTrue(desk().contains("“ten” was read"));
        post("extra-time", "number", "10", "reason", "the lift was taken");
        var given = sittings.sitting(centre.instructor(), sitting.id());
        assertEquals(
                given.begunAt().plus(Duration.ofMinutes(45 + 10)), given.ends().orElseThrow());
        post("move", "number", "B4");
        assertTrue(desk().contains("“B4” was read"));
        post("move", "number", "7");
        assertEquals(
                7, sittings.sitting(centre.instructor(), sitting.id()).bay().orElseThrow());
    }

    @Test
    void theQueue_listsWhatWaits_andTheNextSheetIsOneKeyAway() {
        assertTrue(teacher.get("/marking").body().contains(sitting.names()));
        assertFalse(desk().contains("next-sitting"), "there is no other sheet waiting");
    }
}
