package app.galdrin.web.task;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Checklist;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Items of a checklist in a task's own words, from the bench to the desk. */
@GaldrinTest
class OwnItemsTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    private String press(Visitor teacher, String draft, String name, String value) {
        return teacher.post(draft, Map.of(name, value, "part", "1")).body();
    }

    private static String location(java.net.http.HttpResponse<String> response) {
        assertEquals(302, response.statusCode(), response.body());
        return response.headers().firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", "");
    }

    @Test
    void anItemInItsOwnWords_goesFromTheBenchToTheDesk() {
        Centre centre = centres.plates();
        Visitor teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        String draft = location(teacher.post("/tasks/drafts", Map.of("start", "toe")));
        try (Browser bench =
                new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD)) {
            bench.go(draft);
            bench.script("document.querySelector('[data-bench-step=prepare] details').open = true");
            bench.find("[name='steps.prepare.own']").sendKeys("Tread depth, left front\n");
            bench.waitForText("[data-bench-step=prepare]", "Tread depth, left front");
            assertEquals("", bench.value("[name='steps.prepare.own']"));
            assertEquals(List.of(), bench.breaches());
        }
        press(teacher, draft, "steps.prepare.asks.own1", "number");
        press(teacher, draft, "steps.prepare.most.own1", "12");
        String refused = press(teacher, draft, "steps.prepare.least.own1", "12");
        assertTrue(refused.contains("The smallest number must be below the greatest"), refused);
        press(teacher, draft, "steps.prepare.least.own1", "0");
        press(teacher, draft, "steps.prepare.own", "Floor <dry>?");
        press(teacher, draft, "steps.prepare.asks.own2", "choice");
        press(teacher, draft, "steps.prepare.options.own2", "dry, wet & cold");
        press(teacher, draft, "steps.prepare.own", "Anything else you saw");
        press(teacher, draft, "steps.prepare.asks.own3", "text");
        press(teacher, draft, "steps.prepare.optional.own3", "on");
        press(teacher, draft, "mend", "steps.prepare.place.own1 1");
        TaskVersion task = tasks.task(
                centre.id(),
                UUID.fromString(location(teacher.post(draft + "/set", Map.of())).replaceFirst(".*/", "")));
        assertEquals(
                "own1",
                task.practical()
                        .of(Checklist.class)
                        .findFirst()
                        .orElseThrow()
                        .items()
                        .get(0)
                        .id());
        tasks.preset(
                centre.id(),
                centre.instructor().personId(),
                task.id(),
                1,
                task.firstSheet().id(),
                null);
        tasks.open(centre.id(), centre.instructor().personId(), task.id());
        Sitting sitting = sittings.sitting(
                centre.instructor(),
                sittings.begin(
                        tasks.current(centre.id(), task.id()).orElseThrow(),
                        centre.apprentice().personId(),
                        1));
        try (Browser phone =
                new Browser(port, 390, 844).signIn(centre.apprentice().signIn(), Centre.PASSWORD)) {
            phone.go("/sittings/" + sitting.id() + "?step=prepare");
            phone.find("[name='prepare/own1/0/0']").sendKeys("120\t");
            phone.waitForText("[data-line='prepare/own1/0/0'] .says", "120");
            phone.find("[name='prepare/own1/0/0']").clear();
            phone.find("[name='prepare/own1/0/0']").sendKeys("4,5\t");
            phone.waitForText("[data-line='prepare/own1/0/0'] .says", "4.5 mm");
            phone.click("[name='prepare/own2/0/0'][value='wet & cold']");
            phone.script("document.querySelectorAll('#step-prepare input[type=checkbox]').forEach(box => box.click())");
            phone.waitFor(() -> sittings.log(centre.id(), sitting.id())
                    .answers()
                    .at(LineKey.of("prepare", "own2"))
                    .isPresent());
            assertEquals(List.of(), phone.breaches());
        }
        String desk = teacher.get("/marking/" + sitting.id()).body();
        assertTrue(desk.contains("Tread depth, left front") && desk.contains("Floor &lt;dry&gt;?"), desk);
        assertFalse(desk.contains("Anything else you saw"), "what may be left out earns no marks");
        String next = location(teacher.post("/tasks/drafts", Map.of("start", "tape")));
        assertTrue(teacher.get(next).body().contains("<option value=\"Tread depth, left front\">"), "to be used again");
        assertTrue(
                press(teacher, next, "steps.prepare.own", "tread depth, LEFT front")
                        .contains("value=\"12\""),
                "as it was set");
        Visitor elsewhere =
                new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
        String theirs = location(elsewhere.post("/tasks/drafts", Map.of("start", "toe")));
        assertFalse(elsewhere.get(theirs).body().contains("Tread depth, left front"), "another centre's");
    }
}
