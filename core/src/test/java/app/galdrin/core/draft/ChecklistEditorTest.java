package app.galdrin.core.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Checklist.Item;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReadyList;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskDocument;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Items of a checklist, ready-made and in words of the task's own. */
class ChecklistEditorTest {

    private static final TaskEditor EDITOR = new TaskEditor(Vehicles.van());

    private TaskDraft draft = EDITOR.started(TaskStart.TOE, "Toe", AnswerUnit.DEGREES);

    /** Writes fields as {@code own=Tyres set}, each as it is after it was stored and read again. */
    private void write(String... fields) {
        for (String field : fields) {
            String[] parts = field.split("=", 2);
            draft = EDITOR.written(draft, Map.of("steps.prepare." + parts[0], parts[1]));
            Practical stored = TaskDocument.asFarAsItReads(TaskDocument.write(draft.practical()));
            assertEquals(draft.practical().step("prepare"), stored.step("prepare"));
        }
    }

    private List<Item> items() {
        return draft.practical().of(Checklist.class).findFirst().orElseThrow().items();
    }

    private Item item(String id) {
        return items().stream().filter(i -> i.id().equals(id)).findFirst().orElseThrow();
    }

    private String order() {
        return items().stream().map(Item::id).collect(Collectors.joining(" "));
    }

    @Test
    void anItemInItsOwnWords_isAdded_changed_andTakenOut() {
        int before = items().size();
        write("own=Tyres set", "own=Spare wheel there", "words.own1=Tyres set as on the plate");
        assertEquals("Tyres set as on the plate", item("own1").name());
        write("must.own1=on", "seen.own1=on", "why.own1=wear or worn");
        assertTrue(item("own1").critical() && item("own1").witnessed());
        assertEquals(1, item("own1").why().size());
        write("item.own1=off");
        assertEquals(before + 1, items().size());
        write("own=Battery clamped");
        assertEquals("Battery clamped", item("own1").name(), "the number is free again");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "asks.own1=number | number mm 0.0 1000.0",
                "asks.own1=number; unit.own1=deg; most.own1=90; least.own1=-12,5 | number deg -12.5 90.0",
                "asks.own1=number; unit.own1=bar; most.own1=3.5; least.own1=2 | number bar 200.0 350.0",
                "asks.own1=number; most.own1=160; unit.own1=N·m | number N·m 0.0 160.0",
                "asks.own1=choice; options.own1=dry, wet, icy | choice [dry, wet, icy]",
                "asks.own1=choice | choice [yes, no]",
                "asks.own1=text | text",
                "asks.own1=number; asks.own1=tick | tick",
                "asks.own1=number; most.own1=250; asks.own1=number | number mm 0.0 250.0"
            })
    void whatIsWritten_isAsTheTaskAsks(String fields, String asked) {
        write("own=Something");
        write(fields.split("; "));
        var asks = item("own1").asks();
        String said = AnswerKind.of(asks).key();
        if (asks instanceof AnswerType.Amount number) {
            said += " " + number.defaultUnit().key() + " " + number.least() + " " + number.most();
        }
        if (asks instanceof AnswerType.Choice choice) {
            said += " " + choice.options();
        }
        assertEquals(asked, said);
    }

    @ParameterizedTest
    @CsvSource({"mm, 3.5", "deg, 3.5", "turns, 3.5", "times, 3.5", "times, 3"})
    void aBareNumber_isReadInEveryUnit(String unit, String typed) {
        write("own=Something", "asks.own1=number", "unit.own1=" + unit);
        var read = LineText.read(typed, item("own1").asks());
        assertTrue(
                read instanceof LineText.ParsedText parsed && parsed.value().orElseThrow() == Double.parseDouble(typed),
                read.toString());
    }

    /** What cannot be is refused with what was typed, and nothing changes. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "least.own1 | 1000 | bench.range.fault",
                "most.own1 | 0 | bench.range.fault",
                "most.own1 | far | bench.number.fault",
                "most.own1 | 1e9 | bench.number.fault",
                "unit.own1 | furlong | field.noChoice",
                "options.own1 | dry | bench.options.fault",
                "options.own1 | dry, dry | bench.options.fault",
                "options.own1 | 'dry,,wet' | bench.options.fault",
                "words.own1 | '' | bench.own.fault",
                "place.own1 | 0 | field.whole",
                "place.own1 | 99 | field.whole"
            })
    void whatCannotBe_isRefused(String field, String typed, String why) {
        write("own=Something", "asks.own1=number");
        List<Item> before = items();
        draft = EDITOR.written(draft, Map.of("steps.prepare." + field, typed));
        assertEquals(before, items());
        var refusal = EDITOR.refusals(draft).get("steps.prepare." + field);
        assertEquals(why, refusal == null ? "nothing" : refusal.key());
        assertEquals(Optional.of(typed), draft.refused("steps.prepare." + field));
    }

    @Test
    void anOptionalItem_isLeftEmpty_andEarnsNothing() {
        write("own=Photograph the plate", "optional.own1=on");
        Line line = draft.practical().of(Checklist.class).findFirst().orElseThrow().lines(Vehicles.van()).stream()
                .filter(l -> l.id().equals("own1"))
                .findFirst()
                .orElseThrow();
        assertTrue(line.optional());
        write("must.own1=on");
        assertTrue(!item("own1").optional(), "what has to pass is never optional");
    }

    @Test
    void itemsStand_whereTheyArePut_andAReadyOneComesBackAtItsTurn() {
        List<String> ready =
                ReadyList.PREPARATION.items().stream().map(Item::id).toList();
        assertEquals(String.join(" ", ready), order());
        write("own=Something", "place.own1=2");
        assertEquals("protection own1 condition", order().substring(0, "protection own1 condition".length()));
        write("item.wheelsOnPlates=off", "item.wheelsOnPlates=on");
        assertEquals(ready.size() + 1, items().size());
        assertTrue(order().contains("wheelsOnPlates"));
        write("item.standsAndChocks=off");
        assertTrue(order().contains("standsAndChocks"), "somebody can be hurt without it");
    }

    /** Typed again, whatever its capitals, an item comes with all that it was set to in another task. */
    @Test
    void anItemUsedBefore_comesAsItWasSet() {
        write("own=Tread depth", "asks.own1=number", "most.own1=12", "must.own1=on", "why.own1=grip");
        List<Item> known = Checklist.items(
                "{\"items\":[{\"id\":\"own9\",\"words\":\"Tread depth\",\"critical\":true,\"why\":[{\"words\":[\"grip\"]}],"
                        + "\"asks\":{\"kind\":\"number\",\"unit\":\"mm\",\"least\":0,\"most\":12}}]}");
        var editor = new TaskEditor(Vehicles.van(), known);
        TaskDraft other = editor.written(
                editor.started(TaskStart.TOE, "Toe", AnswerUnit.DEGREES), Map.of("steps.prepare.own", "tread DEPTH"));
        Checklist list = other.practical().of(Checklist.class).findFirst().orElseThrow();
        assertEquals(item("own1"), list.items().get(list.items().size() - 1));
        assertEquals(List.of(), Checklist.items("no list"));
    }

    @ParameterizedTest
    @CsvSource({"checklist:prepare, PREPARATION", "checklist:closing, CLOSING", "checklist:briefing, BRIEFING"})
    void aListStaysItsKind_withItemsOfItsOwn(String addition, ReadyList kind) {
        Practical before = draft.practical();
        draft = EDITOR.added(draft, addition);
        String id = draft.practical().steps().stream()
                .map(Step::id)
                .filter(step -> before.step(step).isEmpty())
                .findFirst()
                .orElseThrow();
        String last = kind.items().get(kind.items().size() - 1).id();
        draft = EDITOR.written(draft, Map.of("steps." + id + ".own", "Key in the office"));
        draft = EDITOR.written(draft, Map.of("steps." + id + ".item." + last, "off"));
        Checklist list = (Checklist) draft.practical().step(id).orElseThrow();
        assertEquals(kind, ReadyList.of(list));
        assertEquals(kind.items().size(), list.items().size(), "one more, and one less");
        assertEquals(
                kind, ReadyList.of(new Checklist("list", list.items())), "told by its items where its name does not");
    }

    /** Words, must pass and what is asked are the program's to say of a ready-made item. */
    @Test
    void aReadyItem_keepsItsWords() {
        Item before = item("condition");
        write("words.condition=Something else", "must.condition=on", "asks.condition=text");
        assertEquals(before, item("condition"));
        write("seen.condition=on", "optional.condition=on");
        assertTrue(item("condition").witnessed() && item("condition").optional());
    }

    @Test
    void aListIsBounded() {
        IntStream.range(0, Practical.MOST_LINES + 3).forEach(i -> write("own=Item " + i));
        assertEquals(Practical.MOST_LINES, items().size());
    }
}
