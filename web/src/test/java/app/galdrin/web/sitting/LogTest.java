package app.galdrin.web.sitting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands, worked out from the entries alone. */
class LogTest {

    private static final Instant START = Instant.parse("2026-11-25T08:00:00Z");

    private final List<Entry> entries = new ArrayList<>();

    private UUID write(Slot slot, String text, double value, UUID strikes, boolean isStrike) {
        UUID id = UUID.randomUUID();
        int seq = entries.size() + 1;
        entries.add(new Entry(
                id, seq, slot, text, value, 0.1, strikes, isStrike, UUID.randomUUID(), "test", START.plusSeconds(seq)));
        return id;
    }

    @Test
    void aLaterEntry_standsOverTheOneItStrikes_andAStrikeLeavesNothing() {
        Slot slot = new Slot(Stage.AS_FOUND, "hubGap.fl", 1);
        UUID first = write(slot, "75.5", 75.5, null, false);
        UUID second = write(slot, "57.5", 57.5, first, false);
        assertEquals("57.5", new Log(entries).at(slot).orElseThrow().written());
        write(slot, "", 0, second, true);
        assertEquals(Optional.empty(), new Log(entries).at(slot));
        assertEquals(
                List.of("75.5", "57.5"),
                new Log(entries)
                        .struckIn(Stage.AS_FOUND).stream().map(Entry::written).toList());
        assertEquals(
                "57.5",
                new Log(entries)
                        .until(START.plusSeconds(2))
                        .at(slot)
                        .orElseThrow()
                        .written());
    }

    @Test
    void readings_comeOneMapARepeat_withTheSetUpInEach() {
        write(new Slot(Stage.AS_FOUND, "hubGap.fl", 1), "57", 57, null, false);
        write(new Slot(Stage.AS_FOUND, "hubGap.fl", 2), "58", 58, null, false);
        write(new Slot(Stage.AS_FOUND, "hubGap.fl", 3), "59", 59, null, false);
        write(new Slot(Stage.AS_FOUND, "stationDistance", 0), "4060", 4060, null, false);
        write(new Slot(Stage.AS_LEFT, "hubGap.fl", 1), "61", 61, null, false);
        assertEquals(
                List.of(
                        Map.of("hubGap.fl", 57.0, "stationDistance", 4060.0),
                        Map.of("hubGap.fl", 58.0, "stationDistance", 4060.0)),
                new Log(entries).readings(Stage.AS_FOUND, 2));
    }

    @Test
    void stages_areKnownByTheirEntries() {
        write(Slot.of(Stage.HAND_IN, "done"), "done", 0, null, false);
        assertTrue(new Log(entries).handedIn() && !new Log(entries).released());
    }

    @ParameterizedTest
    @CsvSource({
        "asFound/wheels.fl.frontGap/2,true",
        "work/total/0,true",
        "asfound/x/1,false",
        "asFound/x,false",
        "asFound/x/11,false",
        "'asFound/../x/1',false",
        "asFound/x y/1,false",
    })
    void aSlot_isReadFromItsForm_andWrittenTheSame(String text, boolean readable) {
        var slot = Slot.parse(text);
        assertEquals(readable, slot.isPresent());
        slot.ifPresent(s -> assertEquals(text, s.key()));
    }
}
