package app.galdrin.web.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Reason;
import app.galdrin.core.task.Step;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Who stood by, where a checklist asks for somebody to. */
@GaldrinTest
class WitnessTest {

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

    @Test
    void anInstructor_saysOnce_thatHeSawIt() {
        Centre centre = centres.with(sheet -> {
            var start = TaskStart.TOE.on(sheet, "Witnessed", OrderSchool.A, AnswerUnit.DEGREES);
            List<Step> steps = new ArrayList<>(start.steps());
            steps.set(
                    0,
                    new Checklist(
                            "prepare",
                            List.of(
                                    new Checklist.Item("standsAndChocks", true, true),
                                    new Checklist.Item("condition", false, false))));
            return TaskStart.withDefaults(start.with(steps), sheet);
        });
        String desk = "/marking/" + centre.sitting(tasks, sittings).id();
        Visitor teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        assertTrue(teacher.get(desk).body().contains("by nobody"));
        Visitor apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        apprentice.get("/");
        assertEquals(
                403, apprentice.post(desk + "/witness", form("standsAndChocks")).statusCode());
        assertEquals(404, teacher.post(desk + "/witness", form("condition")).statusCode(), "asks for nobody");
        assertEquals(
                302, teacher.post(desk + "/witness", form("standsAndChocks")).statusCode());
        String page = teacher.get(desk).body();
        assertTrue(page.contains("by " + centre.instructor().displayName()), page);
        assertFalse(page.contains("I saw it done"));
    }

    /** The sheet asks for the reason instead of telling it, and the desk says which tick came too early and which reason is there. */
    @Test
    void theTurnOfAnItem_andItsReasons_areMarked() {
        Centre centre = centres.with(sheet -> {
            var start = TaskStart.TOE.on(sheet, "In turn", OrderSchool.A, AnswerUnit.DEGREES);
            List<Step> steps = new ArrayList<>(start.steps());
            Reason falls = new Reason(List.of("fall", "drop"));
            Reason rust = new Reason(List.of("rust"));
            steps.set(
                    0,
                    new Checklist(
                            "prepare",
                            List.of(
                                    new Checklist.Item("protection", false, false, false, List.of(falls, rust)),
                                    new Checklist.Item("condition", false, false, true, List.of()))));
            return TaskStart.withDefaults(start.with(steps), sheet);
        });
        Sitting sitting = centre.sitting(tasks, sittings);
        Visitor apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        String sheet = apprentice.get("/sittings/" + sitting.id()).body();
        assertTrue(sheet.contains("Why: Protective equipment on") && sheet.contains("after the items above"), sheet);
        assertFalse(sheet.contains("Wear boots against falling parts"), "the reason is not told where it is asked");
        assertTrue(sheet.contains("Shake each wheel and feel for play"), "and is told where it is not");
        write(centre, sitting, "condition", "done");
        write(centre, sitting, "protection", "done");
        write(centre, sitting, "protection.why", "What falls on a foot".repeat(9));
        Visitor teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        String desk = teacher.get("/marking/" + sitting.id()).body();
        assertTrue(desk.contains("Ticked before “Protective equipment on”"), desk);
        assertTrue(desk.contains("Key words looked for: fall or drop. They are there."), desk);
        assertTrue(desk.contains("Key words looked for: rust. They are not there."), desk);
    }

    private void write(Centre centre, Sitting sitting, String line, String text) {
        Centre.write(sittings, entries, centre.apprentice(), sitting, "prepare/" + line + "/0/0", text);
    }

    private static Map<String, String> form(String item) {
        return Map.of("step", "prepare", "item", item, "key", Ids.next().toString());
    }
}
