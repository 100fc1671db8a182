package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** One figure by two procedures, and a drawing that follows the hand. */
@GaldrinTest
class TwoWaysTest {

    private static final FigureId TOTAL = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);

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

    private static Practical twoWays(SpecificationSheet sheet, Mode mode) {
        Practical start = TaskStart.TOE.on(sheet, "Two ways", OrderSchool.A, AnswerUnit.DEGREES);
        List<Step> steps = List.of(
                Measure.of("plates", Procedures.of("plates"), List.of(TOTAL), 1),
                Measure.of("bars", Procedures.of("longBars"), List.of(TOTAL), 1),
                new Judge("judge", List.of(TOTAL), List.of(TOTAL)),
                new HandIn("handIn"));
        return TaskStart.withDefaults(start.with(mode).with(steps), sheet);
    }

    private void read(Centre centre, Sitting sitting, String step, String front, String rear) {
        Centre.write(sittings, entries, centre.apprentice(), sitting, step + "/frontDistance/1/0", front);
        Centre.write(sittings, entries, centre.apprentice(), sitting, step + "/rearDistance/1/0", rear);
    }

    /** Equal millimetres over 500 and 1500 mm are not the same toe: the sheet has both as angles on one rule. */
    @Test
    void bothStandOnOneRule_andItIsAskedWhetherTheyAgree() {
        Centre centre = centres.with(sheet -> twoWays(sheet, Mode.PRACTICE));
        Sitting sitting = centre.sitting(tasks, sittings);
        var visitor = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String path = "/sittings/" + sitting.id() + "?part=judge";
        assertTrue(visitor.get(path).body().contains("Plates with two tapes: no figure yet."));
        read(centre, sitting, "plates", "1720", "1726");
        read(centre, sitting, "bars", "1740", "1746");
        String judge = visitor.get(path).body();
        assertTrue(judge.contains("Plates with two tapes: +0.69°") && judge.contains("Above the line."), judge);
        assertTrue(judge.contains("Long bars clamped to the wheels: +0.23°") && judge.contains("Below the line."));
        assertTrue(judge.split("rule-bracket", -1).length > 3, "a bracket each, and that of the figure that is judged");
        Centre.write(sittings, entries, centre.apprentice(), sitting, "judge/agrees.totalToe.front/0/0", "agree");
        String body = visitor.get(path).body();
        assertTrue(body.contains("they do not agree"), body);
        String whole = visitor.get("/sittings/" + sitting.id() + "?step=judge").body();
        assertTrue(whole.contains("do Plates with two tapes and Long bars clamped to the wheels agree?"));
        assertTrue(whole.contains("same height"), "why they might not");
    }

    /** In practice the wheels turn in as the rear tape is written longer, and back as it is struck; in an assessment they stay. */
    @Test
    void theDrawing_followsTheHand_inPracticeAlone() {
        for (Mode mode : Mode.values()) {
            Centre centre = centres.with(sheet -> twoWays(sheet, mode));
            Sitting sitting = centre.sitting(tasks, sittings);
            try (var browser = new Browser(port, 1280, 800)) {
                browser.signIn(centre.apprentice().signIn(), Centre.PASSWORD)
                        .go("/sittings/" + sitting.id() + "?step=plates");
                assertEquals("", turned(browser));
                for (String[] reading : new String[][] {{"frontDistance", "1720"}, {"rearDistance", "1724"}}) {
                    browser.focusOn("plates/" + reading[0] + "/1/0");
                    browser.keys(reading[1]);
                    browser.enter("");
                }
                browser.waitForText("#status", "all saved");
                if (mode == Mode.ASSESSMENT) {
                    assertEquals("", turned(browser));
                    assertFalse(browser.text("#step-plates").contains("As you write"));
                } else {
                    browser.waitFor(() -> turned(browser).startsWith("rotate(2.29 "));
                    assertTrue(browser.text("#step-plates").contains("drawn 10 times larger"));
                    browser.go("/sittings/" + sitting.id() + "?step=plates");
                    browser.waitFor(() -> turned(browser).startsWith("rotate(2.29 "));
                    browser.script("document.querySelector('[data-strike=\"plates/rearDistance/1/0\"]').click()");
                    browser.waitFor(() -> turned(browser).isEmpty());
                }
                assertEquals(List.of(), browser.breaches());
            }
        }
    }

    /** How the left front tyre is turned on the drawing that is shown. */
    private static String turned(Browser browser) {
        return String.valueOf(
                browser.script(
                        "return document.querySelector('#step-plates .drawing.lying [data-moved-by=fl]').getAttribute('transform') ?? ''"));
    }
}
