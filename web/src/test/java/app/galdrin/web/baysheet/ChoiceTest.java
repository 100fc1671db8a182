package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Entries.Outcome.Refusal;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Tasks;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is chosen before the readings are taken: the side of the wheels that a beam runs on. */
@GaldrinTest
class ChoiceTest {

    private static final FigureId TOE = FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT);

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private VehicleReferences vehicles;

    @Autowired
    private Entries entries;

    @Autowired
    private SittingMarks sittingMarks;

    private static Practical byBeam(SpecificationSheet sheet) {
        Practical start = TaskStart.TOE.on(sheet, "Beam", OrderSchool.A, AnswerUnit.DEGREES);
        List<Step> steps = List.of(
                Measure.of("toe", Procedures.of("laserLine"), List.of(TOE), 2),
                new Work("work", List.of(new Work.Item(TOE, "toe", AnswerUnit.DEGREES))),
                new HandIn("handIn"));
        return TaskStart.withDefaults(start.with(steps), sheet);
    }

    /** A toe-in of 2 mm over the rim, as it reads with the beam on this side. */
    private void read(SignedIn who, Sitting sitting, String side) {
        boolean outboard = side.equals("outboard");
        for (int repeat = 1; repeat <= 2; repeat++) {
            write(who, sitting, "toe/wheels.fl.frontGap/" + repeat + "/0", outboard ? "77" : "75");
            write(who, sitting, "toe/wheels.fl.rearGap/" + repeat + "/0", outboard ? "75" : "77");
        }
        write(who, sitting, "toe/lineSide/0/0", side);
    }

    private Entries.Outcome write(SignedIn who, Sitting sitting, String line, String text) {
        return Centre.write(sittings, entries, who, sitting, line, text);
    }

    @ParameterizedTest
    @CsvSource({"outboard,outboard", "outboard,inboard", "inboard,outboard"})
    void aWheelComesToTheSame_whicheverSideTheBeamRunsOn(String own, String reference) {
        Centre centre = centres.with(ChoiceTest::byBeam);
        var task = tasks.task(centre.id(), centre.taskId());
        var maud = centre.instructor();
        read(maud, sittings.sitting(maud, vehicles.referenceAsFound(maud, task, 1)), reference);
        Sitting sitting = centre.sitting(tasks, sittings);
        read(centre.apprentice(), sitting, own);
        var log = sittings.log(centre.id(), sitting.id());
        var reading =
                sittingMarks
                        .markSheet(
                                sitting,
                                log,
                                sittingMarks.references(sitting, log).references())
                        .lines()
                        .stream()
                        .filter(l -> l.criterion().key().equals("toe.reading"))
                        .findFirst()
                        .orElseThrow();
        assertEquals(reading.available(), reading.marks().doubleValue(), reading.toString());

        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String work = apprentice.get("/sittings/" + sitting.id() + "?part=work").body();
        assertTrue(work.contains("Position of the beam: " + own), work);
        assertTrue(work.contains("chose-lineSide-" + own), "drawn on that side");
        String desk = new Visitor(port)
                .signIn(maud.signIn(), Centre.PASSWORD)
                .get("/marking/" + sitting.id())
                .body();
        assertTrue(desk.contains("chose-lineSide-" + own), desk);
        assertTrue(
                desk.matches("(?s).*Position of the beam: " + own + "[^.]*. For the reference: " + reference + ".*"));
    }

    /** Both beams faintly until one is chosen, then that one alone; where he works, the one that he wrote. */
    @Test
    void theDrawing_followsTheChoice() {
        Centre centre = centres.with(ChoiceTest::byBeam);
        Sitting sitting = centre.sitting(tasks, sittings);
        try (var browser = new Browser(port, 1280, 800)) {
            browser.signIn(centre.apprentice().signIn(), Centre.PASSWORD).go("/sittings/" + sitting.id() + "?step=toe");
            assertEquals("0.4 0.4", drawn(browser, "#step-toe"));
            for (String side : List.of("inboard", "outboard")) {
                browser.click("#step-toe input[value=" + side + "]");
                String shown = side.equals("outboard") ? "1 none" : "none 1";
                browser.waitFor(() -> drawn(browser, "#step-toe").equals(shown));
                browser.waitForText("#status", "all saved");
                browser.script("document.querySelector('[data-step-link=work]').click()");
                browser.waitFor(() -> drawn(browser, "#step-work").equals(shown));
                browser.script("document.querySelector('[data-step-link=toe]').click()");
            }
            assertEquals(List.of(), browser.breaches());
        }
    }

    /** How the beam outboard and the beam inboard are drawn: how strongly, or not at all. */
    private static String drawn(Browser browser, String step) {
        return String.valueOf(browser.script(
                "return ['outboard', 'inboard'].map(side => {"
                        + "const beam = document.querySelector(arguments[0] + ' path.string[data-option=\"lineSide-' + side + '\"]');"
                        + "const style = getComputedStyle(beam); return style.display === 'none' ? 'none' : style.opacity; }).join(' ')",
                step));
    }

    @Test
    void anotherSide_isNoAnswer_andWithoutOneTheReadingsComeToNothing() {
        Centre centre = centres.with(ChoiceTest::byBeam);
        Sitting sitting = centre.sitting(tasks, sittings);
        read(centre.apprentice(), sitting, "above");
        assertInstanceOf(Refusal.class, write(centre.apprentice(), sitting, "toe/lineSide/0/0", "OUTBOARD "));
        var log = sittings.log(centre.id(), sitting.id());
        var own = new OwnFigures(sittingMarks.assignment(sitting), log.answers());
        var measure = sitting.task().practical().measure("toe").orElseThrow();
        assertEquals(Optional.empty(), own.mean(measure, 0, TOE));
    }
}
