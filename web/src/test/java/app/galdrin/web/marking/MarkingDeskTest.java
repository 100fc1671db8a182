package app.galdrin.web.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Slot;
import app.galdrin.web.sitting.Stage;
import app.galdrin.web.sitting.Works;
import app.galdrin.web.task.Tasks;
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
    private Works works;

    private Centre centre;
    private Sitting sitting;
    private Visitor teacher;

    @BeforeEach
    void handedIn() {
        centre = centres.plates();
        sitting = centre.sitting(tasks, sittings);
        read(Stage.AS_FOUND, "frontDistance", 1, "1904.5");
        read(Stage.AS_FOUND, "rearDistance", 1, "1908");
        read(Stage.AS_FOUND, "frontDistance", 2, "1905");
        read(Stage.AS_FOUND, "rearDistance", 2, "1908");
        read(Stage.WORK, "total", 0, "0.37");
        read(Stage.HAND_IN, "done", 0, "done");
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        desk();
    }

    private void read(Stage stage, String place, int repeat, String text) {
        var line = new Sittings.Line(
                new Slot(stage, place, repeat), text, false, Ids.next().toString(), "test");
        sittings.write(centre.apprentice(), sitting, line);
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

    private String total() {
        var now = sittings.sitting(centre.instructor(), sitting.id());
        return works.markSheet(now, sittings.log(centre.id(), sitting.id()))
                .total()
                .toPlainString();
    }

    @Test
    void withoutAReference_theSheetSaysWhatIsMissing() {
        assertTrue(desk().contains("reference as found has not been taken"));
        assertTrue(desk().contains("has not read the vehicle as it was left"));
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
        post("override", "criterion", "working", "marks", marks, "reason", reason);
        assertTrue(desk().contains(sentence));
        assertEquals("20.0", workingMarks());
    }

    private String workingMarks() {
        var now = sittings.sitting(centre.instructor(), sitting.id());
        return works.markSheet(now, sittings.log(centre.id(), sitting.id())).lines().stream()
                .filter(l -> l.criterion().key().equals("working"))
                .findFirst()
                .orElseThrow()
                .marks()
                .toPlainString();
    }

    @Test
    void anOverride_standsWithItsReason_andCanBeStruckOut() {
        post("override", "criterion", "working", "marks", "12,5", "reason", "worked with help");
        assertTrue(desk().contains("Marked 12.5 by the instructor: worked with help"));
        assertEquals("12.5", workingMarks());
        post("override/strike", "criterion", "working");
        assertFalse(desk().contains("worked with help"));
        assertEquals("20.0", workingMarks());
    }

    @Test
    void release_needsASignature_ofTheMarksAsTheyStand() {
        post("release");
        assertTrue(feedback().contains("has not been released yet"), "never without a signature");
        post("sign");
        post("override", "criterion", "plan", "marks", "5", "reason", "said it aloud");
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
        String released = total();
        post("override", "criterion", "plan", "marks", "10", "reason", "late thought");
        var reference =
                sittings.sitting(centre.instructor(), sittings.referenceAsFound(centre.instructor(), sitting.task()));
        for (int repeat = 1; repeat <= 2; repeat++) {
            for (String place : new String[] {"frontDistance", "rearDistance"}) {
                var line = new Sittings.Line(
                        new Slot(Stage.AS_FOUND, place, repeat),
                        "1904",
                        false,
                        Ids.next().toString(),
                        "test");
                sittings.write(centre.instructor(), reference, line);
            }
        }
        assertEquals(released, total());
        post("sign");
        assertEquals(
                1,
                sittings.log(centre.id(), sitting.id()).entries().stream()
                        .filter(e -> e.slot().place().equals("sign"))
                        .count());
    }

    @Test
    void theQueue_listsWhatWaits_andTheNextSheetIsOneKeyAway() {
        assertTrue(teacher.get("/marking").body().contains(sitting.personName()));
        assertFalse(desk().contains("next-sitting"), "there is no other sheet waiting");
    }
}
