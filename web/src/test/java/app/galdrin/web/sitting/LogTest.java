package app.galdrin.web.sitting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.account.Role;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What stands, worked out from the entries alone. */
class LogTest {

    private static final Instant START = Instant.parse("2026-11-25T08:00:00Z");
    private static final LineKey GAP = new LineKey("toe", "hubGap.fl", 1, 0);

    private final List<Entry> entries = new ArrayList<>();

    private String write(LineKey line, String text, boolean strike, boolean late, String... saw) {
        int seq = entries.size() + 1;
        String key = "key-number-" + seq;
        BigDecimal value = strike ? null : new BigDecimal(text);
        entries.add(new Entry(
                seq,
                key,
                line,
                text,
                value,
                BigDecimal.ONE,
                strike,
                List.of(saw),
                late,
                new UUID(1, 1),
                Role.APPRENTICE,
                "test",
                seq,
                START.plusSeconds(seq),
                START.plusSeconds(seq)));
        return key;
    }

    private Log log() {
        return new Log(entries);
    }

    private static List<String> texts(List<Entry> entries) {
        return entries.stream().map(Entry::written).toList();
    }

    @Test
    void aLaterEntry_standsOverTheOneItSaw_andAStrikeLeavesNothing() {
        String first = write(GAP, "75.5", false, false);
        String second = write(GAP, "57.5", false, false, first);
        assertEquals("57.5", log().at(GAP).orElseThrow().written());
        write(GAP, "", true, false, second);
        assertEquals(Optional.empty(), log().at(GAP));
        assertEquals(List.of("75.5", "57.5"), texts(log().struckAt(GAP)));
        assertEquals(List.of("75.5", "57.5"), texts(log().struckIn("toe")));
        assertEquals("57.5", log().until(2).at(GAP).orElseThrow().written());
    }

    /** A sheet that goes on at another vehicle has nothing of that one yet; what was decided about the sheet stands. */
    @Test
    void whatWasReadOnAnotherVehicle_isStruckOut_andStaysAsItWasThere() {
        LineKey witnessed = StaffLine.witness("prepare", "chocks");
        write(GAP, "75.5", false, false);
        write(witnessed, "1", false, false);
        write(StaffLine.EXTRA_TIME, "15", false, false);
        write(StaffLine.ANEW, "3", false, false);
        assertEquals(Optional.empty(), log().at(GAP));
        assertEquals(Optional.empty(), log().at(witnessed));
        assertEquals("15", log().at(StaffLine.EXTRA_TIME).orElseThrow().written());
        write(GAP, "60", false, false);
        assertEquals(List.of("60"), texts(log().allAt(GAP)));
        assertEquals(List.of("75.5"), texts(log().struckAt(GAP)));
        assertEquals("75.5", log().until(3).at(GAP).orElseThrow().written());
    }

    /** Two devices wrote without having seen each other: both stand until somebody who saw both decides. */
    @Test
    void whatWasNotSeen_isNotStruck() {
        String first = write(GAP, "75.5", false, false);
        String here = write(GAP, "57.5", false, false, first);
        String there = write(GAP, "57", false, false, first);
        assertEquals(List.of("57.5", "57"), texts(log().allAt(GAP)));
        assertEquals(List.of(GAP), log().disputed());
        write(GAP, "57", false, false, here, there);
        assertEquals(List.of("57"), texts(log().allAt(GAP)));
        assertEquals(List.of(), log().disputed());
    }

    @Test
    void whatCameLate_countsOnceTheInstructorAdmitsIt() {
        String first = write(GAP, "57.5", false, false);
        write(GAP, "58", false, true, first);
        assertEquals("57.5", log().at(GAP).orElseThrow().written());
        assertEquals(List.of("58"), texts(log().lateWaiting()));
        write(StaffLine.ADMIT, "1", false, false);
        assertEquals("58", log().at(GAP).orElseThrow().written());
        assertTrue(log().lateWaiting().isEmpty());
    }

    private void tick(String line, String device, int writtenAfter) {
        int seq = entries.size() + 1;
        entries.add(new Entry(
                seq,
                "key-number-" + seq,
                LineKey.of("prepare", line),
                "done",
                null,
                null,
                false,
                List.of(),
                false,
                new UUID(1, 1),
                Role.APPRENTICE,
                device,
                seq,
                START.plusSeconds(writtenAfter),
                START.plusSeconds(100 + seq)));
    }

    /** Two at one vehicle: what one of them wrote without a connection came after what the other wrote later. */
    @Test
    void ticks_standInTheOrderInWhichTheyWereWritten() {
        tick("jack", "phone", 50);
        tick("chocks", "tablet", 10);
        tick("stands", "tablet", 60);
        tick("rocked", "tablet", 59); // its clock was set back by what was measured of it
        assertEquals(
                List.of("chocks", "jack", "stands", "rocked"),
                log().answers().order().stream().map(LineKey::line).toList());
    }
}
