package app.galdrin.web.equipment;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.equipment.ToolLength;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingEquipment;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Tasks;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A workshop's own equipment: which piece a sheet is read with, and what is known of it. */
@GaldrinTest
class EquipmentTest {

    private static final LocalDate TODAY = LocalDate.now();
    private static final EquipmentKind PLATES = EquipmentKind.named("plates").orElseThrow();

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Equipment equipment;

    @Autowired
    private SittingEquipment used;

    @Autowired
    private Sittings sittings;

    @Autowired
    private SittingMarks marks;

    @Autowired
    private MarkSheets sheets;

    @Autowired
    private VehicleReferences vehicles;

    @Autowired
    private Tasks tasks;

    private UUID plates(Centre centre, String name, double length, LocalDate due) {
        UUID id = equipment
                .add(centre.id(), centre.instructor().personId(), PLATES, name)
                .orElseThrow();
        known(centre, id, length, due);
        return id;
    }

    private void known(Centre centre, UUID id, double length, LocalDate due) {
        var known = new NewRevision(null, 0, 0, length, 0, "", null, due, true, "");
        equipment.revise(centre.id(), centre.instructor().personId(), id, known);
    }

    private Sitting whole(Centre centre, UUID id) {
        return sittings.sitting(centre.instructor(), id);
    }

    private Sitting begin(Centre centre, UUID person, int bay) {
        var opening = tasks.current(centre.id(), centre.taskId()).orElseThrow();
        return whole(centre, sittings.begin(opening, person, bay));
    }

    private static double slots(Sitting sitting) {
        return sitting.kit().length(ToolLength.PLATE_SLOTS);
    }

    @Test
    void aSheet_keepsWhatWasKnownOfItsPiece_andTheBayRemembersIt() {
        Centre centre = centres.plates();
        centres.otherVehicle(centre, 2);
        plates(centre, "A", 500, TODAY.plusDays(1));
        UUID longer = plates(centre, "B", 508, TODAY);
        Sitting first = begin(centre, centre.apprentice().personId(), 1);
        assertEquals(500, slots(first), "the first by name");
        assertEquals(
                Optional.empty(), used.choose(centre.apprentice(), first, longer, TODAY), "due today is in date today");
        known(centre, longer, 509, TODAY);
        assertEquals(508, slots(whole(centre, first.id())), "as it was known when it was taken");
        assertEquals(509, slots(begin(centre, centre.neighbour().personId(), 1)), "the bay's last, as known now");
        UUID reference = vehicles.referenceAsFound(centre.instructor(), tasks.task(centre.id(), centre.taskId()), 2);
        assertEquals(500, slots(whole(centre, reference)), "another bay");
        assertEquals(508, marks.assignment(whole(centre, first.id())).kit().length(ToolLength.PLATE_SLOTS));
    }

    @Test
    void aPieceInDate_comesBeforeOneThatIsPast_andNobodyIsAskedForWhatTheTaskDoesNotUse() {
        Centre centre = centres.plates();
        plates(centre, "A", 500, TODAY.minusDays(1));
        plates(centre, "B", 508, TODAY.plusYears(1));
        equipment.add(
                centre.id(),
                centre.instructor().personId(),
                EquipmentKind.named("flagGauge").orElseThrow(),
                "Flags");
        Sitting sitting = centre.sitting(tasks, sittings);
        assertEquals(508, slots(sitting));
        assertEquals(
                List.of("plates"),
                used.of(sitting, TODAY).stream().map(k -> k.kind().key()).toList());
    }

    /** On the demo's equipment: the list, a piece with its drift, and what its true figures would change. */
    @Test
    void thePages_areReadByEverybody() {
        try (Browser maud = new Browser(port, 1280, 800).signIn("m.aldous", "follow the string")) {
            maud.go("/bays");
            maud.press("Equipment");
            maud.waitForText("main", "past its date since 2026-10-06");
            List<String> breaches = new ArrayList<>(maud.breaches());
            maud.press("Digital inclinometer 2");
            maud.waitForText("figure.drift", "3 checks from 2026-03-02 to 2026-09-02");
            breaches.addAll(maud.breaches());
            maud.press("Find the sheets");
            maud.press("Show what would change");
            maud.waitForText("main", "No sheet was read with it");
            breaches.addAll(maud.breaches());
            assertEquals(List.of(), breaches);
        }
    }

    /** Past its date: the rule of the centre decides, for what is taken at the start and for what is chosen. */
    @ParameterizedTest
    @CsvSource({"WARN, true", "REFUSE, false"})
    void aPiecePastItsDate_isUsedWithAWord_orNotAtAll(PastDue rule, boolean isUsed) {
        Centre centre = centres.plates();
        UUID past = plates(centre, "A", 508, TODAY.minusDays(2));
        equipment.setPastDue(centre.id(), rule);
        Sitting sitting = centre.sitting(tasks, sittings);
        assertEquals(isUsed ? 508 : 500, slots(sitting));
        assertEquals(
                isUsed, used.choose(centre.apprentice(), sitting, past, TODAY).isEmpty());
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String page = apprentice.get("/sittings/" + sitting.id()).body();
        assertEquals(isUsed, page.contains("A is past its date."), page);
        assertEquals(!isUsed, page.contains("No piece of this kind is in date"));
    }

    /** A sheet from before the centre kept equipment asks for it, and is worked as usual until it is named. */
    @Test
    void aSheetFromBefore_asksWhatItIsReadWith() {
        Centre centre = centres.plates();
        Sitting sitting = centre.sitting(tasks, sittings);
        plates(centre, "A", 508, TODAY);
        assertEquals(500, slots(whole(centre, sitting.id())));
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertTrue(apprentice.get("/sittings/" + sitting.id()).body().contains("Name it under “Read with”"));
    }

    @Test
    void nobodyElse_andNothingElse_isTaken() throws Exception {
        Centre centre = centres.plates();
        UUID a = plates(centre, "A", 500, TODAY);
        UUID b = plates(centre, "B", 508, TODAY);
        UUID tape = equipment
                .add(
                        centre.id(),
                        centre.instructor().personId(),
                        EquipmentKind.named("flagGauge").orElseThrow(),
                        "Flags")
                .orElseThrow();
        Sitting sitting = centre.sitting(tasks, sittings);
        String here = "/sittings/" + sitting.id() + "/equipment";
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertEquals(
                404, apprentice.post(here, Map.of("piece", tape.toString())).statusCode(), "not of the task");
        Centre other = centres.plates();
        UUID strange = plates(other, "A", 700, TODAY);
        assertEquals(
                404, apprentice.post(here, Map.of("piece", strange.toString())).statusCode());
        var neighbour = new Visitor(port).signIn(centre.neighbour().signIn(), Centre.PASSWORD);
        assertEquals(404, neighbour.post(here, Map.of("piece", b.toString())).statusCode());
        var stranger = new Visitor(port).signIn(other.instructor().signIn(), Centre.PASSWORD);
        for (String page : List.of("", "/wrong")) {
            assertEquals(404, stranger.get("/bays/equipment/" + a + page).statusCode());
            assertEquals(403, apprentice.get("/bays/equipment/" + a + page).statusCode());
            assertEquals(
                    404,
                    stranger.post("/bays/equipment/" + a + page, Map.of("length", "600"))
                            .statusCode());
            assertEquals(
                    403,
                    apprentice
                            .post("/bays/equipment/" + a + page, Map.of("length", "600"))
                            .statusCode());
        }
        Optional<?>[] refused = new Optional<?>[2];
        Thread one = new Thread(() -> refused[0] = used.choose(centre.apprentice(), sitting, a, TODAY));
        Thread two = new Thread(() -> refused[1] = used.choose(centre.apprentice(), sitting, b, TODAY));
        one.start();
        two.start();
        one.join();
        two.join();
        assertEquals(List.of(Optional.empty(), Optional.empty()), List.of(refused), "one after the other");
        assertEquals(302, apprentice.post(here, Map.of("piece", b.toString())).statusCode());
        assertEquals(508, slots(whole(centre, sitting.id())));
    }

    private BigDecimal total(Centre centre, Sitting sitting) {
        Sitting now = whole(centre, sitting.id());
        var log = sittings.log(now);
        return marks.markSheet(now, log, marks.references(now, log).references())
                .total();
    }

    /** The plates are found to be 600 mm, not 500: 3 mm are 0.29° and not 0.34°, and both sheets wrote 0.34°. */
    @Test
    void aPieceFoundWrong_listsItsSheets_andWhatTheirMarksBecome() {
        Centre centre = centres.plates();
        UUID id = plates(centre, "A", 500, TODAY.plusYears(1));
        centres.reference(centre);
        Sitting open = centres.sat(centre, "Open", "0.34", false);
        Sitting released = centres.sat(centre, "Released", "0.34", true);
        sheets.release(
                centre.instructor(), whole(centre, released.id()), Ids.next().toString());
        BigDecimal before = total(centre, open);
        var teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        String page = "/bays/equipment/" + id + "/wrong";
        assertTrue(teacher.get(page).body().contains("Open"));
        String trial = teacher.get(page + "?trial=true&length=600").body();
        assertTrue(trial.contains("The marks of 2 sheets would change."), trial);
        assertEquals(before, total(centre, open), "tried, not applied");
        assertEquals(500, slots(whole(centre, open.id())));
        assertEquals(2, equipment.history(centre.id(), id).size());
        assertTrue(teacher.get(page + "?trial=true&length=500").body().contains("No marks would change."));
        assertEquals(
                302,
                teacher.post(page, Map.of("since", TODAY.toString(), "length", "600", "note", "Measured on the bench"))
                        .statusCode());
        assertNotEquals(before, total(centre, open));
        assertEquals(600, slots(whole(centre, open.id())));
        Sitting stands = whole(centre, released.id());
        var log = sittings.log(stands);
        assertEquals(
                before,
                sheets.toShow(stands, log, marks.references(stands, log)).total(),
                "what was released stands");
        assertTrue(teacher.get(page + "?since=" + TODAY.plusDays(1)).body().contains("Enter today or an earlier day"));
    }

    @ParameterizedTest
    @CsvSource({
        "dueOn=2025-01-01, is before the date",
        "dueOn=soon, Enter a day",
        "certifiedOn=2099-01-01, Enter today or an earlier day",
        "length=0, '0'",
        "length=long, long",
        "lengthDoubt=1, Enter the length too"
    })
    void badInput_isSaid_andStaysTyped(String typed, String said) {
        Centre centre = centres.plates();
        UUID id = equipment
                .add(centre.id(), centre.instructor().personId(), PLATES, "A")
                .orElseThrow();
        var teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        Map<String, String> form = new HashMap<>(Map.of("certifiedOn", "2026-01-05", "certificate", "Z 1"));
        form.put(typed.split("=")[0], typed.split("=")[1]);
        var answer = teacher.post("/bays/equipment/" + id, form);
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains(said), answer.body());
        assertTrue(answer.body().contains("value=\"" + typed.split("=")[1] + "\""), "nothing typed is lost");
        assertEquals(1, equipment.history(centre.id(), id).size());
    }

    @Test
    void theUsualEquipment_isThereAtAPress_andAPieceAtTwo() {
        Centre centre = centres.plates();
        var teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        teacher.post("/bays/equipment/usual", Map.of());
        teacher.post("/bays/equipment/usual", Map.of());
        List<Piece> all = equipment.all(centre.id());
        assertEquals(EquipmentKind.usual().size(), all.size());
        assertEquals(
                302, teacher.post("/bays/equipment", Map.of("kind", "tape")).statusCode());
        String list = teacher.get("/bays/equipment").body();
        assertTrue(list.contains("Tape 1") && list.contains("Tape 2"));
        teacher.post("/bays/equipment", Map.of("kind", "tape", "name", "Tape 2"));
        assertTrue(teacher.get("/bays/equipment").body().contains("already one named"));
        UUID level = all.stream()
                .filter(p -> p.now().kind().equals("digitalInclinometer"))
                .findFirst()
                .orElseThrow()
                .id();
        String page = "/bays/equipment/" + level;
        Map<String, String> check =
                Map.of("check", "turned", "first", "1.32", "second", "-1.12", "doneOn", "2026-01-05");
        assertEquals(302, teacher.post(page + "/checks", check).statusCode());
        assertEquals(302, teacher.post(page + "/checks", check).statusCode());
        assertTrue(teacher.get(page).body().contains("0.1°"));
        assertEquals(
                422,
                teacher.post(page + "/checks", Map.of("check", "swapped", "first", "1", "second", "x"))
                        .statusCode());
        assertFalse(teacher.get(page).body().contains("class=\"fault\">"));
    }
}
