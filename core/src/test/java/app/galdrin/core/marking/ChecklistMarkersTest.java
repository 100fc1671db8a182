package app.galdrin.core.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Checklist.Item;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Reason;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What was ticked, in which order, and why. */
class ChecklistMarkersTest {

    private static final Checklist LIST = new Checklist(
            "prepare",
            List.of(
                    new Item(
                            "boots",
                            false,
                            false,
                            false,
                            List.of(new Reason(List.of("fall", "drop")), new Reason(List.of("rust", "corro")))),
                    new Item("chocks", true, false),
                    new Item("jack", true, false, true, List.of()),
                    new Item("rock", false, false),
                    new Item("clamp", false, false, true, List.of())));

    private static Practical practical() {
        Practical usual = TaskStart.TOE.on(Vehicles.van(), "Toe", OrderSchool.A, AnswerUnit.DEGREES);
        List<Step> steps = new ArrayList<>(usual.steps());
        steps.set(0, LIST);
        Practical with = usual.with(steps);
        return with.with(SchemeDefaults.of(with, Vehicles.van()));
    }

    private static MarkLine line(String criterion, String ticked, @Nullable String why) {
        Map<LineKey, WrittenValue> written = new HashMap<>();
        List<LineKey> order = new ArrayList<>();
        for (String item : ticked.split(" ")) {
            LineKey line = LineKey.of("prepare", item);
            written.put(line, WrittenValue.text("done"));
            order.add(line);
        }
        if (why != null) {
            written.put(LineKey.of("prepare", "boots.why"), WrittenValue.text(why));
        }
        return Marker.mark(
                        Assignment.of(practical(), Vehicles.van()),
                        new Answers(written).ordered(order),
                        References.none())
                .lines()
                .stream()
                .filter(l -> l.criterion().key().equals(criterion))
                .findFirst()
                .orElseThrow();
    }

    /** An item that has its turn counts after what is listed above it; what was left out is missed by itself alone. */
    @ParameterizedTest
    @CsvSource({
        "chocks jack,1,",
        "boots chocks jack,1,",
        "chocks jack boots,0.5,boots",
        "jack chocks,0.5,chocks",
        "jack,0.5,",
        "chocks,0.5,",
        "rock chocks jack,1,",
    })
    void whatHasItsTurn_countsAfterWhatIsAboveIt(String ticked, double credit, @Nullable String before) {
        MarkLine line = line("prepare.critical", ticked, null);
        assertEquals(credit, line.credit());
        assertEquals(credit == 1, line.met());
        Evidence.Item jack = (Evidence.Item) line.evidence().get(1);
        assertEquals(Optional.ofNullable(before), jack.before());
    }

    /** Nobody knows an order, and none is missed. */
    @Test
    void withoutAnOrder_noneIsMissed() {
        Map<LineKey, WrittenValue> all = new HashMap<>();
        LIST.items().forEach(i -> all.put(LineKey.of("prepare", i.id()), WrittenValue.text("done")));
        var mark = Marker.mark(Assignment.of(practical(), Vehicles.van()), new Answers(all), References.none());
        assertTrue(mark.lines().get(0).met());
        assertEquals("prepare.critical", mark.lines().get(0).criterion().key());
    }

    /** Each reason counts alike, and the reasons together as much as an item. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "because it FALLS, and corrosion|1",
                "dropped parts|0.5",
                "rust in the eyes|0.5",
                "it is the rule|0",
                "waterfall: it trust|0",
                "|0",
            })
    void reasons_areFoundByTheirWords(@Nullable String why, double credit) {
        MarkLine line = line("prepare.done", "boots rock clamp", why);
        Evidence.GivenReason given = (Evidence.GivenReason) line.evidence().get(1);
        assertEquals(credit, given.credit());
        assertEquals(Optional.ofNullable(why), given.answer());
        assertEquals((3 + credit) / 4, line.credit(), 1e-12);
    }

    @ParameterizedTest
    @ValueSource(strings = {"clamp rock boots", "clamp boots rock"})
    void otherLines_haveTheirTurnToo(String ticked) {
        assertEquals(0.5, line("prepare.done", ticked, null).credit(), 1e-12);
    }

    /** Whatever is asked for is done once it is written, and is named by its own words; what may be left out is no matter. */
    @Test
    void anItemInItsOwnWords_isDoneOnceItIsWritten() {
        var depth = new Item(
                "own1",
                false,
                false,
                false,
                List.of(),
                Optional.of("Tread depth, left front"),
                false,
                AnswerKind.number(Unit.MM, 0, 12));
        var photo =
                new Item("own2", false, false, false, List.of(), Optional.of("Plate"), true, AnswerKind.TICK.usual());
        var list = new Checklist("prepare", List.of(depth, photo));
        var sheet = new Sheet(Assignment.of(practical().with(List.<Step>of(list)), Vehicles.van()));
        assertEquals(new Sheet.Progress(0, 1), sheet.progress(list, Answers.none()));
        var written = new Answers(Map.of(LineKey.of("prepare", "own1"), WrittenValue.text("4.5")));
        assertEquals(new Sheet.Progress(1, 1), sheet.progress(list, written));
        var usual = practical();
        List<Step> steps = new ArrayList<>(usual.steps());
        steps.set(0, list);
        Practical with = usual.with(steps);
        var practical = with.with(SchemeDefaults.of(with, Vehicles.van()));
        for (Answers answers : List.of(Answers.none(), written)) {
            MarkLine line =
                    Marker.mark(Assignment.of(practical, Vehicles.van()), answers, References.none()).lines().stream()
                            .filter(l -> l.criterion().key().equals("prepare.done"))
                            .findFirst()
                            .orElseThrow();
            assertEquals(
                    List.of(new Evidence.Item("Tread depth, left front", answers == written, Optional.empty())),
                    line.evidence());
        }
    }

    @Test
    void aReason_needsAWord() {
        assertThrows(IllegalArgumentException.class, () -> new Reason(List.of()));
        assertFalse(new Reason(List.of("a.b")).isIn("axb"), "a word is no pattern");
    }
}
