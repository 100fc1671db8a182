package app.galdrin.web.classes;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.task.Criterion;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.account.People;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.MarkSheets;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.math.BigDecimal;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A class and its task on one sheet, over real requests. */
@GaldrinTest
class MatrixTest {

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
    private MarkSheets sheets;

    @Autowired
    private People people;

    private Centre centre;
    private Visitor teacher;

    @BeforeEach
    void aClass() {
        centre = centres.plates();
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        centres.reference(centre);
    }

    private Sitting sat(String name, String total, boolean signed) {
        return centres.sat(centre, name, total, signed);
    }

    private String matrix(Visitor visitor, String sort) {
        return visitor.get("/marking/class/" + centre.taskId() + sort).body();
    }

    @Test
    void peopleStandByNeed_withWhatTheyHave_andWhatWentWrong() {
        assertTrue(matrix(teacher, "").contains("Nobody has handed this task in yet"));
        Sitting ada = sat("Ada", "0.34", true);
        sat("Cyd", "3", true);
        sat("Bea", "0.34", false);
        String page = matrix(teacher, "");
        assertTrue(page.indexOf(">Cyd<") < page.indexOf(">Ada<"), "the least first");
        assertTrue(page.indexOf(">Ada<") < page.indexOf(">Bea<"), "who is not signed comes last");
        assertTrue(page.contains("not signed yet"));
        assertTrue(page.contains("/marking/" + ada.id() + "#work-working"), "each mark leads to its evidence");
        assertTrue(page.contains("millimetres and degrees mixed up"), "the slip by name");
        String byName = matrix(teacher, "?sort=name");
        assertTrue(byName.indexOf(">Bea<") < byName.indexOf(">Cyd<"));
        sheets.override(
                centre.instructor(),
                ada,
                Criterion.Id.parse("work.working").orElseThrow(),
                new BigDecimal("7.5"),
                "seen",
                UUID.randomUUID().toString());
        assertFalse(matrix(teacher, "").contains("7.5*"), "as it was signed");
        sheets.sign(centre.instructor(), ada, UUID.randomUUID().toString());
        assertTrue(matrix(teacher, "").contains("7.5*"), "a star for what was marked by hand");
    }

    @Test
    void whatSeparatesNobody_isSaid_fromFivePeopleOn() {
        for (int i = 0; i < 4; i++) {
            sat("Person" + i, "0.34", true);
        }
        assertFalse(matrix(teacher, "").contains("What separates nobody"));
        sat("Person5", "0.34", true);
        assertTrue(matrix(teacher, "").contains("everybody has 100 %"));
    }

    /** Everybody here writes 1905 and 1908 twice: four readings are too few to ask anyone. */
    @Test
    void readingsAlike_areAsked_notJudged() {
        sat("Ada", "0.34", true);
        sat("Bea", "0.34", true);
        String page =
                teacher.get("/marking/class/" + centre.taskId() + "/alike").body();
        assertTrue(page.contains("Every reading as found of 2 sheets"));
        assertTrue(page.contains("more in common than chance gives"));
    }

    @Test
    void othersDoNotSeeIt() {
        var stranger = new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
        assertEquals(404, stranger.get("/marking/class/" + centre.taskId()).statusCode());
        assertEquals(
                404,
                stranger.get("/marking/class/" + centre.taskId() + "/alike").statusCode());
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertEquals(403, apprentice.get("/marking/class/" + centre.taskId()).statusCode());
    }
}
