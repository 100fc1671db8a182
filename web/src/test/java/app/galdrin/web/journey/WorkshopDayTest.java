package app.galdrin.web.journey;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Journeys 7 and 8: a vehicle's day. It is set, read and adjusted by two people one after the other, put back, and read by the next group. */
@GaldrinTest
class WorkshopDayTest {

    private static final FigureId TOTAL = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);

    /** Tape in front of the hubs, mm: behind them it reads as much more as the plates tell. */
    private static final double FRONT = 1905;

    private static final double SLOTS = 500;

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private SittingMarks marks;

    @Autowired
    private People people;

    @Autowired
    private JdbcTemplate jdbc;

    private final Map<String, UUID> sat = new HashMap<>();
    private Centre centre;

    /** As it was set: 3 mm over the slots. */
    private double rear = FRONT + 3;

    /** One mm that the rear tape moves by for a turn of the left rod. */
    private double millimetresATurn(Sitting sitting) {
        double effect = sitting.sheet().sheet().adjusters().stream()
                .filter(part -> part.id().equals("rod.front.left"))
                .findFirst()
                .orElseThrow()
                .changePerUnit(TOTAL);
        return 2 * SLOTS * Math.sin(effect / 2);
    }

    private static void write(Browser who, String line, String text) {
        who.focusOn(line);
        who.enter(text);
    }

    private static void choose(Browser who, String line, String value) {
        String option = "input[name='" + line + "'][value=" + value + "]";
        who.waitFor(() -> {
            if (!who.find(option).isSelected()) {
                who.click(option);
            }
            return who.find(option).isSelected();
        });
    }

    private void read(Browser who, String step, int round) {
        for (int repeat = 1; repeat <= 2; repeat++) {
            write(who, step + "/frontDistance/" + repeat + "/" + round, String.valueOf(FRONT));
            write(who, step + "/rearDistance/" + repeat + "/" + round, "%.1f".formatted(rear));
        }
        who.waitForText("#status", "all saved");
    }

    /** Joins on the phone under a name of the class, by the code on the board. */
    private String joins(Browser phone, String name) {
        phone.driver().manage().deleteAllCookies();
        phone.go("/join");
        phone.type("#code", centre.code());
        phone.click("main .btn-ink");
        phone.waitFor(() -> phone.has(".names label"));
        phone.press(name);
        phone.click("main .btn-ink");
        phone.waitFor(() -> phone.path().startsWith("/sittings/"));
        String sheet = phone.path().replaceFirst("[?].*", "");
        sat.put(name, UUID.fromString(sheet.substring("/sittings/".length())));
        assertEquals(name, sitting(name).names());
        return sheet;
    }

    private void classOfSix() {
        UUID group = tasks.task(centre.id(), centre.taskId()).classId();
        for (String name : List.of("Ann", "Ben", "Cy", "Dee", "Eli", "Fay")) {
            UUID id = people.add(centre.id(), Role.APPRENTICE, name, name + "." + centre.id(), Centre.PASSWORD);
            jdbc.update(
                    "insert into class_member (centre_id, class_id, person_id) values (?, ?, ?)",
                    centre.id(),
                    group,
                    id);
        }
    }

    private Sitting sitting(String name) {
        return sittings.sitting(centre.instructor(), sat.get(name));
    }

    private void adjusts(Browser phone, String sheet, double turns) {
        phone.go(sheet + "?step=adjust");
        for (String part : List.of("topSlot.front.left", "topSlot.front.right", "rod.front.right")) {
            choose(phone, "adjust/" + part + ".way/0/1", "leave");
        }
        choose(phone, "adjust/rod.front.left.way/0/1", "shorten");
        write(phone, "adjust/rod.front.left.amount/0/1", String.valueOf(turns));
        rear -= turns
                * millimetresATurn(sitting(sat.entrySet().stream()
                        .filter(e -> sheet.endsWith(e.getValue().toString()))
                        .findFirst()
                        .orElseThrow()
                        .getKey()));
        read(phone, "left", 1);
    }

    private static void handsIn(Browser phone, String sheet) {
        phone.go(sheet + "?step=handIn");
        phone.click("[data-hand-in]");
        phone.click("[data-ask-yes]");
        phone.waitForText("main", "Handed in. Nothing more");
    }

    @Test
    void oneVehicle_twoGroups_andEveryMarkIsTracedToItsReference() {
        centre = centres.with(sheet -> TestCentres.byPlates(sheet, 2).with(ReferenceRule.COMBINED));
        classOfSix();
        List<String> breaches = new ArrayList<>();
        try (Browser maud =
                        new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD);
                Browser phone = new Browser(port, 390, 844)) {
            maud.go("/bays");
            maud.press("Record a new setting");
            maud.fill("How it is set (your note)", "left rod a turn long");
            maud.press("Record new setting");
            maud.waitForText("#bay-1", "left rod a turn long");
            maud.go("/tasks/" + centre.taskId());
            maud.click(".bays form[action$='/reference'] button");
            maud.waitFor(() -> maud.path().startsWith("/sittings/"));
            read(maud, "found", 0);

            String ann = joins(phone, "Ann");
            phone.go(ann + "?step=found");
            read(phone, "found", 0);
            adjusts(phone, ann, 0.5);
            handsIn(phone, ann);
            phone.go(ann);
            phone.waitForText("#put-back", "Track rod, left front");
            breaches.addAll(phone.breaches());

            maud.go("/bays/day");
            maud.waitForText("main", "Ann");
            maud.waitForText(".begun", " to ");
            maud.press("Use it as it is");
            maud.waitFor(() -> !maud.text("main").contains("Use it as it is"));
            String ben = joins(phone, "Ben");
            phone.waitForText("#began-on", "Ann");
            phone.go(ben + "?step=found");
            read(phone, "found", 0);
            adjusts(phone, ben, 0.25);
            handsIn(phone, ben);
            breaches.addAll(maud.go("/bays/to-read").breaches());

            // Ann's page is out of date; Ben left it last, and turns back what both of them moved
            phone.go(ben);
            phone.waitForText("#put-back", "lengthen, 3/4 turns");
            phone.all("#put-back input[name=part]").forEach(tick -> tick.click());
            phone.press("It was put back");
            phone.waitForText("main", "The vehicle is recorded as put back.");
            assertFalse(phone.has("#put-back"));
            rear = FRONT + 3;

            for (String name : List.of("Cy", "Dee", "Eli", "Fay")) {
                String sheet = joins(phone, name);
                phone.waitForText("#began-on", "Ben put it back");
                phone.go(sheet + "?step=found");
                read(phone, "found", 0);
                handsIn(phone, sheet);
            }
            traceEveryMark(maud, breaches);
        }
        assertEquals(List.of(), breaches);
    }

    /** Nobody's own reading is in his reference, and what the two groups read of one setting stands together. */
    private void traceEveryMark(Browser maud, List<String> breaches) {
        Map<String, List<String>> rests = Map.of(
                "Ann", List.of("Cy", "Dee", "Eli", "Fay"),
                "Ben", List.of("Ann"),
                "Cy", List.of("Ann", "Dee", "Eli", "Fay"),
                "Dee", List.of("Ann", "Cy", "Eli", "Fay"),
                "Eli", List.of("Ann", "Cy", "Dee", "Fay"),
                "Fay", List.of("Ann", "Cy", "Dee", "Eli"));
        double set = Math.toDegrees(2 * Math.asin(3 / (2 * SLOTS)));
        rests.forEach((name, others) -> {
            ReadingEvidence evidence = reading(name);
            assertEquals(1, evidence.credit(), name);
            if (!name.equals("Ben")) {
                // what was left is read to a tenth of a millimetre and carried back by what was moved
                assertEquals(set, Math.toDegrees(evidence.reference().value()), 0.005, name);
            }
            maud.go("/marking/" + sat.get(name));
            maud.press("What the references rest on");
            String said = maud.text("#rests");
            others.forEach(other -> assertTrue(said.contains(other), name + ": " + other + " is not in " + said));
            assertFalse(said.contains(name), said);
            breaches.addAll(maud.breaches());
        });
        assertTrue(maud.go("/bays/to-read").text("main").contains("No marks wait for your reading"), maud.text("main"));
    }

    private ReadingEvidence reading(String name) {
        Sitting now = sitting(name);
        var log = sittings.log(now);
        return marks.markSheet(now, log, marks.references(now, log).references()).lines().stream()
                .filter(line -> line.criterion().aspect() == Aspect.READING)
                .map(MarkLine::evidence)
                .flatMap(List::stream)
                .filter(ReadingEvidence.class::isInstance)
                .map(ReadingEvidence.class::cast)
                .collect(Collectors.toList())
                .get(0);
    }
}
