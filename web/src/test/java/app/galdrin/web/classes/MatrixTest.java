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
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
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
        assertTrue(matrix(teacher, "").contains("Nobody has handed in this task yet"));
        Sitting ada = sat("Ada", "0.34", true);
        sat("Cyd", "3", true);
        sat("Bea", "0.34", false);
        String page = matrix(teacher, "");
        assertTrue(page.indexOf(">Cyd<") < page.indexOf(">Ada<"), "the least first");
        assertTrue(page.indexOf(">Ada<") < page.indexOf(">Bea<"), "who is not signed comes last");
        assertTrue(page.contains("not signed yet"));
        assertTrue(page.contains("/marking/" + ada.id() + "#work-working"), "each mark leads to its evidence");
        assertTrue(page.contains("millimetres and degrees confused"), "the slip by name");
        String byName = matrix(teacher, "?sort=name");
        assertTrue(byName.indexOf(">Bea<") < byName.indexOf(">Cyd<"));
        sheets.override(
                centre.instructor(),
                ada,
                Criterion.Id.parse("work.working").orElseThrow(),
                new BigDecimal("7.5"),
                "seen",
                UUID.randomUUID().toString());
        assertFalse(matrix(teacher, "").contains("7.5*"), "latest signed mark sheet");
        sheets.sign(centre.instructor(), ada, UUID.randomUUID().toString());
        assertTrue(matrix(teacher, "").contains("7.5*"), "a star for what was marked by hand");
    }

    @Test
    void whatSeparatesNobody_isSaid_fromFivePeopleOn() {
        for (int i = 0; i < 4; i++) {
            sat("Person" + i, "0.34", true);
        }
        assertFalse(matrix(teacher, "").contains("Everyone scored the same"));
        sat("Person5", "0.34", true);
        assertTrue(matrix(teacher, "").contains("everyone has 100 %"));
    }

    /** Everybody here writes 1905 and 1908 twice: four readings are too few to ask anyone. */
    @Test
    void readingsAlike_areAsked_notJudged() {
        sat("Ada", "0.34", true);
        sat("Bea", "0.34", true);
        String page = teacher.get("/marking/class/" + centre.taskId() + "/matching-readings")
                .body();
        assertTrue(page.contains("Compares every as-found reading of 2 sheets"));
        assertTrue(page.contains("match more closely than chance"));
    }

    @Test
    void othersDoNotSeeIt() {
        var stranger = new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
        assertEquals(404, stranger.get("/marking/class/" + centre.taskId()).statusCode());
        assertEquals(
                404,
                stranger.get("/marking/class/" + centre.taskId() + "/matching-readings")
                        .statusCode());
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertEquals(403, apprentice.get("/marking/class/" + centre.taskId()).statusCode());
    }

    /** A class in which three of the better half miss a band that careful hands keep. */
    @Test
    void aBandThatTheBetterHalfMisses_isSaid() {
        for (int i = 0; i < 6; i++) {
            Sitting sitting = sat("Person" + i, "0.34", false);
            Criterion.Id reading = Criterion.Id.parse("found.reading").orElseThrow();
            BigDecimal marks = i < 3 ? new BigDecimal("19") : new BigDecimal("20");
            sheets.override(
                    centre.instructor(),
                    sitting,
                    reading,
                    marks,
                    "seen",
                    UUID.randomUUID().toString());
            Criterion.Id working = Criterion.Id.parse("work.working").orElseThrow();
            BigDecimal worked = i < 3 ? new BigDecimal("20") : BigDecimal.ONE;
            sheets.override(
                    centre.instructor(),
                    sitting,
                    working,
                    worked,
                    "seen",
                    UUID.randomUUID().toString());
            sheets.sign(centre.instructor(), sitting, UUID.randomUUID().toString());
        }
        String page = matrix(teacher, "");
        assertTrue(page.contains("Bands that may fail careful people"), page);
        assertTrue(page.contains("Reading: 3 of the better half"));
    }

    /** Three people on two vehicle states, each twice; the plates of one read a millimetre more. */
    @Test
    void whoVaried_isSplitAndSaid() {
        sat("Ada", "0.34", false);
        String early =
                teacher.get("/marking/class/" + centre.taskId() + "/variation").body();
        assertTrue(early.contains("This page splits the spread into its sources"), early);
        List<SignedIn> people = new ArrayList<>();
        for (String name : List.of("Bea", "Cyd", "Dan")) {
            UUID id = this.people.add(centre.id(), Role.APPRENTICE, name, name + "." + centre.id(), Centre.PASSWORD);
            people.add(this.people.session(centre.id(), id));
        }
        var opening = tasks.current(centre.id(), centre.taskId()).orElseThrow();
        UUID sheet = tasks.task(centre.id(), centre.taskId()).firstSheet().id();
        for (String rear : List.of("1908", "1912")) {
            tasks.preset(centre.id(), centre.instructor().personId(), centre.taskId(), 1, sheet, null);
            for (int p = 0; p < 3; p++) {
                SignedIn who = people.get(p);
                Sitting sitting = sittings.sitting(who, sittings.begin(opening, who.personId(), 1));
                if (sitting.state().handedIn()) {
                    sitting = sittings.sitting(who, sittings.sitAgain(centre.instructor(), sitting));
                }
                for (int repeat = 1; repeat <= 2; repeat++) {
                    String front = String.valueOf(1904 + p + 0.1 * repeat);
                    Centre.write(sittings, entries, who, sitting, "found/frontDistance/" + repeat + "/0", front);
                    Centre.write(sittings, entries, who, sitting, "found/rearDistance/" + repeat + "/0", rear);
                }
                Centre.write(sittings, entries, who, sitting, "handIn/done/0/0", "done");
            }
        }
        String page =
                teacher.get("/marking/class/" + centre.taskId() + "/variation").body();
        assertTrue(page.contains("14 readings by 4 people on 3 vehicle states"), page);
        assertTrue(page.contains("Most of the spread comes from: Vehicle"), page);
        assertTrue(page.contains("Apart from the vehicles it comes from people"), page);
        assertTrue(
                page.contains("Do not fail anyone on this verdict"), "a millimetre from one to the next is too much");
    }
}
