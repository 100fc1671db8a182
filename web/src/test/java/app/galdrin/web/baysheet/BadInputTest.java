package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.start.TaskStart;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a field says to what can't be read; nothing typed is lost and nothing wrong is written. */
@GaldrinTest
class BadInputTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    private Centre centre;
    private Sitting sitting;
    private Visitor apprentice;

    @BeforeEach
    void signIn() {
        centre = centres.fullFront();
        sitting = centre.sitting(tasks, sittings);
        apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
    }

    private String path() {
        return "/sittings/" + sitting.id();
    }

    private int send(String line, String text, StringBuilder answer) {
        var form = Map.of("line", line, "text", text, "key", Ids.next().toString());
        var response = apprentice.postAsScript(path() + "/entries", form);
        answer.append(response.body());
        return response.statusCode();
    }

    private String sent(String line, String text) {
        var answer = new StringBuilder();
        send(line, text, answer);
        return answer.toString();
    }

    private List<String> written() {
        return sittings.log(centre.id(), sitting.id()).entries().stream()
                .map(Entry::written)
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "toe/hubGap.rl/2/0|abc|is not a number",
                "toe/hubGap.rl/2/0|NaN|is not a number",
                "toe/hubGap.rl/2/0|''|This field is empty",
                "toe/hubGap.rl/2/0|3 m|has something after the number",
                "toe/hubGap.rl/2/0|12 deg|a unit that does not fit",
                "toe/hubGap.rl/2/0|1,417|a thousand or a decimal",
                "toe/hubGap.rl/2/0|-4|cannot be negative",
                "toe/hubGap.rl/2/0|3000|The most possible here is 1000 mm",
                "toe/stringSpacingRear/2/0|63.5|The least possible here is 500 mm",
                "toe/hubGap.rl/2/0|1/0|divides by 0",
                "camber/fl.gauge/1/0|0.75|Choose the direction as well",
                "camber/fl.gauge/1/0|0.75, turned|has something after the number",
                "camber/fl.gauge/1/0|-0.75, topIn|“-0.75” was read",
                "camber/fl.gauge/1/0|-0.75, topIn|Leave out the sign",
                "camber/fl.gauge/1/0|steep, topIn|“steep” was read",
                "work/totalToe.front/0/0|3 mm|a unit that does not fit",
                "work/totalToe.front/0/0|0°75'|stay below 60",
                "work/toe.front.left/0/0|45|The most possible here is 30 degrees",
                "plan/rod.front.left.amount/0/0|-1|cannot be negative",
                "plan/rod.front.left.amount/0/0|99|The most possible here is 20 turns",
                "plan/topSlot.front.left.amount/0/0|99|The most possible here is 12 mm",
                "judge/totalToe.front/0/0|perhaps|not one of the choices",
                "prepare/clearFloor/0/0|perhaps|not one of the choices",
            })
    void aText_thatCanNotBeRight_isAnsweredWithASentence(String line, String text, String sentence) {
        String answer = sent(line, text);
        assertTrue(answer.contains("\"ok\":false") && answer.contains(sentence), answer);
        assertEquals(List.of(), written());
    }

    /** Each is possible, and both together are not: they stand, and are asked back, in an assessment as well. */
    @Test
    void theSameAngleAtBothLocks_isAskedBack() {
        centre = centres.with(sheet -> {
            var start = TaskStart.FULL_FRONT.on(sheet, "Locks", OrderSchool.A, AnswerUnit.DEGREES);
            return start.with(start.steps().stream()
                    .map(s -> s.by(p -> p.key().equals("sweep") ? Procedures.of("fullLock") : p))
                    .toList());
        });
        sitting = centre.sitting(tasks, sittings);
        apprentice = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertTrue(sent("caster/fl.out.steer/1/0", "33").contains("\"ok\":true"));
        assertTrue(sent("caster/fl.in.steer/1/0", "33").contains("\"ok\":true"));
        String page = apprentice.get(path() + "?step=caster").body();
        assertTrue(page.contains("the two angles of one wheel usually differ"), page);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "toe/hubGap.rr/2/0|77,5|77.5",
                "toe/hubGap.rr/2/0|3 1/16\"|77.79",
                "camber/fl.gauge/1/0|0°45', topIn|top leans in",
                "work/totalToe.front/0/0|0°24'|+0.40°",
                "work/totalToe.front/0/0|−0.41|−0.41°",
                "plan/rod.front.left.amount/0/0|1 1/4|1.25 turns",
            })
    void aText_asPeopleWriteIt_isEchoedAsUnderstood(String line, String text, String echo) {
        String answer = sent(line, text);
        assertTrue(answer.contains("\"ok\":true") && answer.contains(echo), answer);
        assertEquals(List.of(text), written());
    }

    @Test
    void asMuchTextAsAFormHolds_isRefusedInASentence() {
        String answer = sent("toe/hubGap.rl/2/0", "7".repeat(60_000));
        assertTrue(answer.contains("\"ok\":false") && answer.contains("shorten it"), answer);
    }

    @Test
    void aStepWithoutAScript_writesWhatCanBeRead_andKeepsTheRest() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("step", "toe");
        form.put("toe/wheels.rr.frontGap/2/0", "78.5");
        form.put("toe/wheels.rr.rearGap/2/0", "seventy <b>eight</b>");
        var page = apprentice.post(path(), form);
        assertEquals(422, page.statusCode());
        assertTrue(page.body().contains("value=\"seventy &lt;b&gt;eight&lt;/b&gt;\""), "kept, and harmless");
        assertTrue(page.body().contains("value=\"78.5\""));
        assertTrue(page.body().contains("is not a number"));
        form.remove("toe/wheels.rr.rearGap/2/0");
        assertEquals(302, apprentice.post(path(), form).statusCode());
        assertEquals(List.of("78.5"), written(), "the same form again writes nothing twice");
    }

    /** What a form saw follows from how many entries there were when it was shown, and its keys from its own name. */
    @Test
    void twoFormsShownAtOnce_bothStand_untilOneThatSawBothIsSent() {
        assertEquals(302, sentForm("first", 0, "57"));
        assertEquals(422, sentForm("first", 0, "57.5"), "shown again with the sentence that its key is used");
        assertEquals(302, sentForm("second", 0, "58"));
        assertEquals(List.of("57", "58"), written());
        assertTrue(apprentice.get(path()).body().contains("57 · 58"), "two entries");
        assertEquals(302, sentForm("third", 2, "59"));
        assertFalse(apprentice.get(path()).body().contains("57 · 58"));
    }

    private int sentForm(String name, int seen, String text) {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("step", "toe");
        form.put("form", name);
        form.put("seen", String.valueOf(seen));
        form.put("toe/wheels.rr.frontGap/2/0", text);
        return apprentice.post(path(), form).statusCode();
    }

    @Test
    void aSizeWithItsWay_isWrittenWithoutAScriptToo() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("step", "camber");
        form.put("camber/fl.gauge/1/0", "0.75");
        form.put("camber/fl.gauge/1/0.sense", "topOut");
        assertEquals(302, apprentice.post(path(), form).statusCode());
        assertEquals(List.of("0.75, topOut"), written());
    }

    @ParameterizedTest
    @CsvSource({
        "toe/nowhere/1/0",
        "toe/hubGap.rl/5/0",
        "toe/hubGap.rl/1/1",
        "_mark/plan.plan/0/0",
        "_staff/admit/0/0",
        "nonsense",
    })
    void aLineThatIsNotOnTheSheet_isNotThere(String line) {
        assertEquals(404, send(line, "5", new StringBuilder()));
    }

    @ParameterizedTest
    @CsvSource({"XXXXXX,No open task has this code", "'<script>',No open task has this code"})
    void aWrongCode_isAnsweredWithASentence(String code, String sentence) {
        var page = new Visitor(port).get("/join?code=" + URLEncoder.encode(code, StandardCharsets.UTF_8));
        assertEquals(422, page.statusCode());
        assertTrue(page.body().contains(sentence) && !page.body().contains("<script>"));
    }
}
