package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.GaldrinTest;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What a field says to what can't be read; nothing typed is lost and nothing wrong is written. */
@GaldrinTest
class BadInputTest {

    @LocalServerPort
    private int port;

    @Autowired
    private JdbcTemplate jdbc;

    private Visitor piet;
    private String sitting;

    @BeforeEach
    void signIn() {
        sitting = jdbc.queryForObject(
                "select i.id from sitting i join person p on p.id = i.person_id where p.sign_in = 'p.marlow' limit 1",
                String.class);
        piet = new Visitor(port).signIn("p.marlow", "follow the string");
    }

    private String sent(String slot, String text) {
        var form = Map.of("slot", slot, "text", text, "key", Ids.next().toString());
        return piet.postAsScript("/sittings/" + sitting + "/entries", form).body();
    }

    private int entries() {
        return jdbc.queryForObject("select count(*) from entry where sitting_id = ?::uuid", Integer.class, sitting);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "asFound/hubGap.rl/2|abc|it is no figure",
                "asFound/hubGap.rl/2|NaN|it is no figure",
                "asFound/hubGap.rl/2|''|Nothing is written",
                "asFound/hubGap.rl/2|3 m|something is left over",
                "asFound/hubGap.rl/2|12 deg|a unit that does not belong",
                "asFound/hubGap.rl/2|1,417|a thousand or a decimal",
                "asFound/hubGap.rl/2|-4|Less than nothing",
                "asFound/hubGap.rl/2|3000|More than 1000 mm can't be here",
                "asFound/stringSpacingRear/2|63.5|Less than 500 mm can't be here",
                "asFound/hubGap.rl/2|1/0|a fraction over nothing",
                "work/total/0|3 mm|a unit that does not belong",
                "work/total/0|0°75'|stay below 60",
                "work/left/0|45|More than 30 degrees",
                "plan/left.turns/0|-1|Less than nothing",
                "plan/left.turns/0|99|More than 20 turns",
                "judge/total/0|perhaps|not one of the choices",
            })
    void aText_thatCanNotBeRight_isAnsweredWithASentence(String slot, String text, String sentence) {
        int before = entries();
        String answer = sent(slot, text);
        assertTrue(answer.contains("\"ok\":false") && answer.contains(sentence), answer);
        assertEquals(before, entries());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "asFound/hubGap.rr/2|77,5|77.5",
                "asFound/hubGap.rr/2|3 1/16\"|77.79",
                "work/total/0|0°24'|+0.40°",
                "work/total/0|−0.41|−0.41°",
                "plan/left.turns/0|1 1/4|1.25 turns",
            })
    void aText_asPeopleWriteIt_isEchoedAsUnderstood(String slot, String text, String echo) {
        String answer = sent(slot, text);
        assertTrue(answer.contains("\"ok\":true") && answer.contains(echo), answer);
    }

    @Test
    void aMegabyteOfText_isRefusedInASentence() {
        String answer = sent("asFound/hubGap.rl/2", "7".repeat(1 << 20));
        assertTrue(answer.contains("That is 1048576 characters") || answer.contains("1,048,576 characters"), answer);
    }

    @Test
    void aWholeFormWithoutAScript_writesWhatCanBeRead_andKeepsTheRest() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("repeat", "2");
        form.put("asFound/wheels.rr.frontGap/2", "78.5");
        form.put("asFound/wheels.rr.rearGap/2", "seventy <b>eight</b>");
        var page = piet.post("/sittings/" + sitting + "/as-found", form);
        assertEquals(422, page.statusCode());
        assertTrue(page.body().contains("value=\"seventy &lt;b&gt;eight&lt;/b&gt;\""), "kept, and harmless");
        assertTrue(page.body().contains("value=\"78.5\""));
        assertTrue(page.body().contains("it is no figure"));
        int before = entries();
        form.remove("asFound/wheels.rr.rearGap/2");
        assertEquals(302, piet.post("/sittings/" + sitting + "/as-found", form).statusCode());
        assertEquals(before, entries(), "the same form again writes nothing twice");
    }

    @ParameterizedTest
    @CsvSource({
        "asFound/nowhere/1,404",
        "asFound/hubGap.rl/5,404",
        "mark/plan/0,404",
        "nonsense,404",
    })
    void aSlotThatIsNotOnTheSheet_isNotThere(String slot, int status) {
        var form = Map.of("slot", slot, "text", "5", "key", Ids.next().toString());
        assertEquals(
                status,
                piet.postAsScript("/sittings/" + sitting + "/entries", form).statusCode());
    }

    @Test
    void theBench_saysAllThatIsWrong_andKeepsWhatWasTyped() {
        var maud = new Visitor(port).signIn("m.aldous", "follow the string");
        Map<String, String> form = new LinkedHashMap<>();
        form.put("scheme", "1");
        form.put("title", "Kept title");
        form.put("method", "plates");
        form.put("asked", "totalAndEach");
        form.put("repeats", "9");
        form.put("band.reading", "wide");
        form.put("marks.plan", "-3");
        var page = maud.post("/tasks/new", form);
        assertEquals(422, page.statusCode());
        for (String part : new String[] {
            "Plates see the total alone",
            "“9” was read",
            "“wide” was read",
            "“-3” was read",
            "value=\"Kept title\"",
            "value=\"9\""
        }) {
            assertTrue(page.body().contains(part), part);
        }
    }

    @ParameterizedTest
    @CsvSource({"XXXXXX,No open task has this code", "'<script>',No open task has this code"})
    void aWrongCode_isAnsweredWithASentence(String code, String sentence) {
        var page = new Visitor(port).get("/join?code=" + URLEncoder.encode(code, StandardCharsets.UTF_8));
        assertEquals(422, page.statusCode());
        assertTrue(page.body().contains(sentence) && !page.body().contains("<script>"));
    }
}
