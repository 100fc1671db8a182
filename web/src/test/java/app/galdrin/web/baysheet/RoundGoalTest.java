package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a round says must be read. */
@GaldrinTest
class RoundGoalTest {

    private static final String GOAL = "Target readings, with the instruments where they are";

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

    private static Practical camber(SpecificationSheet sheet, Mode mode, boolean worked) {
        Practical start = TaskStart.CAMBER_AND_TOE.on(sheet, "C", OrderSchool.A, AnswerUnit.DEGREES);
        List<Step> steps = start.steps().stream()
                .filter(s -> worked || !(s instanceof Work))
                .toList();
        return TaskStart.withDefaults(start.with(mode).with(steps), sheet);
    }

    /** It is foretold where the sheet teaches, and where nothing has to be worked; never where it would be the answer. */
    @ParameterizedTest
    @CsvSource({"PRACTICE,true,true", "ASSESSMENT,true,false", "ASSESSMENT,false,true"})
    void aRound_givesAwayNothingThatIsToBeWorked(Mode mode, boolean worked, boolean said) {
        Centre centre = centres.with(sheet -> camber(sheet, mode, worked));
        var sitting = centre.sitting(tasks, sittings);
        var task = tasks.task(centre.id(), centre.taskId()).practical();
        Measure camber = task.measure("camber").orElseThrow();
        for (int repeat = 1; repeat <= camber.repeats(); repeat++) {
            for (String wheel : List.of("fl", "fr")) {
                String line = "camber/" + wheel + ".gauge/" + repeat + "/0";
                Centre.write(sittings, entries, centre.apprentice(), sitting, line, "0.8, topIn");
            }
        }
        var apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String page =
                apprentice.get("/sittings/" + sitting.id() + "?step=adjust").body();
        assertTrue(page.contains("Target figures:"), page);
        assertEquals(said, page.contains(GOAL), page);
        String inTheField = "placeholder=\"→ 0.40°\"";
        assertEquals(said, page.contains(inTheField) && page.contains("→ top leans in"), page);
    }
}
