package app.galdrin.web.sitting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import java.math.BigDecimal;
import java.sql.DriverManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** Entries on the real database: appended, never twice, never lost, and nobody else's. */
@GaldrinTest
class SittingsTest {

    private static final String FRONT = "found/frontDistance/1/0";
    private static final LineKey FRONT_KEY = LineKey.parse(FRONT).orElseThrow();
    private static final String HAND_IN = "handIn/done/0/0";
    private static final Criterion.Id WORKING =
            Criterion.Id.parse("work.working").orElseThrow();

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Entries entries;

    @Autowired
    private Decisions decisions;

    @Autowired
    private MarkSheets sheets;

    @Autowired
    private JdbcTemplate jdbc;

    private final ExecutorService pool = Executors.newFixedThreadPool(8);

    private Centre centre;
    private SignedIn me;
    private Sitting sitting;

    @BeforeEach
    void begin() {
        centre = centres.plates();
        me = centre.apprentice();
        sitting = centre.sitting(tasks, sittings);
    }

    @AfterEach
    void stop() {
        pool.shutdownNow();
    }

    private Entries.Outcome write(String line, String text) {
        return Centre.write(sittings, entries, me, sitting, line, text);
    }

    private static NewEntry entry(String text, String key, String... saw) {
        return NewEntry.now(FRONT_KEY, text, List.of(saw), key, "test");
    }

    private static String key() {
        return Ids.next().toString();
    }

    private Log log() {
        return sittings.log(centre.id(), sitting.id());
    }

    private Sitting now() {
        return sittings.sitting(centre.instructor(), sitting.id());
    }

    private static void refused(String why, Entries.Outcome outcome) {
        assertEquals(
                why,
                assertInstanceOf(Entries.Outcome.Refusal.class, outcome).why().key());
    }

    private static void stands(Entries.Outcome outcome) {
        assertInstanceOf(Entries.Outcome.Stands.class, outcome);
    }

    private <T> List<T> all(List<Callable<T>> work) throws Exception {
        List<T> results = new ArrayList<>();
        for (var future : pool.invokeAll(work)) {
            results.add(future.get());
        }
        return results;
    }

    @Test
    void rewriting_strikesOut_andKeepsBoth() {
        write(FRONT, "1423.5");
        write(FRONT, "1427");
        String standing = log().at(FRONT_KEY).orElseThrow().key();
        stands(entries.write(me, sitting, entry("", key(), standing).asStrike()));
        refused(
                "sitting.nothingToStrike",
                entries.write(me, sitting, entry("", key(), standing).asStrike()));
        assertEquals(3, log().entries().size());
        assertTrue(log().at(FRONT_KEY).isEmpty());
        assertEquals(2, log().struckAt(FRONT_KEY).size());
    }

    @Test
    void theSameKey_isWrittenOnce_fromHoweverManyThreads_andCarriesNothingElse() throws Exception {
        String key = key();
        Callable<Entries.Outcome> send = () -> entries.write(me, sitting, entry("1423.5", key));
        all(IntStream.range(0, 24).mapToObj(i -> send).toList()).forEach(SittingsTest::stands);
        assertEquals(1, log().entries().size());
        refused("sitting.keyUsed", entries.write(me, sitting, entry("1427", key)));
    }

    @Test
    void writersAtOnce_getTheirOwnNumbers_andAllStandUntilSomeoneSeesThem() throws Exception {
        all(IntStream.range(0, 24)
                .<Callable<Entries.Outcome>>mapToObj(i ->
                        () -> entries.write(me, sitting, entry((1400 + i) + "", key())))
                .toList());
        assertEquals(
                IntStream.rangeClosed(1, 24).boxed().toList(),
                log().entries().stream().map(Entry::seq).toList());
        assertEquals(24, log().allAt(FRONT_KEY).size());
        assertEquals(24, now().state().lastSeq());
    }

    /** Hand-in and one more entry at the same moment: whichever was first, the other saw it. */
    @RepeatedTest(8)
    void handingIn_whileAnotherWrites_leavesNothingWrittenAfterwards() throws Exception {
        all(List.of(() -> write(HAND_IN, "done"), () -> write(FRONT, "1423.5")));
        List<Entry> entries = log().entries();
        int handedIn = entries.stream().map(e -> e.line().step()).toList().indexOf("handIn");
        assertTrue(entries.stream().skip(handedIn + 1L).allMatch(Entry::late), "it waits for the instructor");
        assertTrue(now().state().handedIn());
        refused("sitting.closed", write(FRONT, "1427"));
    }

    /** Release and one more mark at the same moment: what is released is what was signed, or it is not released. */
    @RepeatedTest(8)
    void releasing_whileAnotherOverrides_neverReleasesWhatWasNotSigned() throws Exception {
        write(HAND_IN, "done");
        assertEquals(Optional.empty(), sheets.sign(centre.instructor(), now(), key()));
        BigDecimal signed = sheets.stored(now()).orElseThrow().total();
        Callable<Optional<Sentence>> release = () -> sheets.release(centre.instructor(), now(), key());
        Callable<Optional<Sentence>> override =
                () -> sheets.override(centre.instructor(), now(), WORKING, new BigDecimal("7"), "seen", key());
        List<Optional<Sentence>> done = all(List.of(release, override));
        assertEquals(1, done.stream().filter(Optional::isEmpty).count(), "one of the two came too late: " + done);
        assertEquals(done.get(0).isEmpty(), now().state().released());
        assertEquals(signed, sheets.stored(now()).orElseThrow().total());
    }

    /** At once and for safety: nothing more is written, nobody is competent by it, and what was written before it still arrives. */
    @Test
    void stopped_aSittingIsOver_andNobodyIsCompetentByIt() {
        Instant before = Instant.now().minusSeconds(60);
        refused("sitting.reason", decisions.stop(centre.instructor(), now(), " ", key()));
        assertThrows(NotThere.class, () -> decisions.stop(me, now(), "let me out", key()));
        stands(decisions.stop(centre.instructor(), now(), "under a jacked vehicle", key()));
        assertTrue(now().state().handedIn());
        refused("sitting.stopped", write(FRONT, "1427"));
        refused("sitting.stopped", write(HAND_IN, "done"));
        stands(entries.write(
                me, sitting, new NewEntry(FRONT_KEY, "1423.5", false, List.of(), key(), "phone", 7, before, 0)));
        assertEquals(Optional.empty(), sheets.sign(centre.instructor(), now(), key()));
        MarkSheet stored = sheets.stored(now()).orElseThrow();
        assertFalse(stored.competent());
        assertEquals(MarkSheet.STOPPED, stored.redo().get(0));
        assertEquals(
                Optional.of("under a jacked vehicle"),
                stored.lines().get(0).override().map(MarkLine.Override::reason));
        stands(decisions.giveBack(centre.instructor(), now(), "it was another one", key()));
        assertFalse(now().state().handedIn());
        assertEquals(Optional.empty(), log().stopped());
        stands(write(FRONT, "1426"));
    }

    /** Stopped, and handed in by a device that had not heard of it: both are given back together, by one key however long. */
    @Test
    void givenBack_itIsNeitherStoppedNorHandedIn() {
        write(HAND_IN, "done");
        stands(decisions.stop(centre.instructor(), now(), "hands under the wheel", key()));
        String key = "k".repeat(80);
        stands(decisions.giveBack(centre.instructor(), now(), "talked over", key));
        stands(decisions.giveBack(centre.instructor(), now(), "talked over", key));
        assertFalse(now().state().handedIn());
        stands(write(HAND_IN, "done"));
        assertTrue(now().state().handedIn());
    }

    @Test
    void aSignatureThatIsSentAgain_storesNoOtherSheet_neitherAtOnceNorAfterTheRelease() throws Exception {
        write(HAND_IN, "done");
        String key = key();
        Callable<Optional<Sentence>> sign = () -> sheets.sign(centre.instructor(), now(), key);
        assertEquals(List.of(Optional.empty(), Optional.empty()), all(List.of(sign, sign)));
        sheets.release(centre.instructor(), now(), key());
        sign.call();
        assertEquals(1, sheets.history(now()).size());
    }

    @Test
    void whatWasWrittenBeforeHandingIn_butComesAfter_waitsForTheInstructor() {
        Instant before = Instant.now().minusSeconds(60);
        write(HAND_IN, "done");
        var late = new NewEntry(FRONT_KEY, "1423.5", false, List.of(), key(), "phone", 7, before, 0);
        assertTrue(assertInstanceOf(Entries.Outcome.Stands.class, entries.write(me, sitting, late))
                .entry()
                .late());
        assertTrue(log().at(FRONT_KEY).isEmpty());
        assertEquals(1, now().state().lateWaiting());
        refused("sitting.reason", decisions.admitLate(centre.instructor(), now(), " ", key()));
        stands(decisions.admitLate(centre.instructor(), now(), "the radio was down", key()));
        assertEquals("1423.5", log().at(FRONT_KEY).orElseThrow().written());
        assertEquals(0, now().state().lateWaiting());
    }

    @Test
    void aHandIn_isTakenBackUntilTheInstructorHasOpenedIt_andThenGivenBackWithAReason() {
        write(HAND_IN, "done");
        stands(entries.takeBack(me, now(), key()));
        assertFalse(now().state().handedIn());
        write(HAND_IN, "done");
        sittings.opened(centre.instructor(), now());
        String handedIn =
                log().at(LineKey.parse(HAND_IN).orElseThrow()).orElseThrow().key();
        var strike = NewEntry.now(LineKey.parse(HAND_IN).orElseThrow(), "", List.of(handedIn), key(), "test")
                .asStrike();
        refused("sitting.handInStays", entries.write(me, sitting, strike));
        assertThrows(NotThere.class, () -> decisions.giveBack(me, now(), "please", key()));
        stands(decisions.giveBack(centre.instructor(), now(), "one wheel left out", key()));
        assertFalse(now().state().handedIn());
        stands(write(FRONT, "1423.5"));
        assertTrue(log().entries().stream().anyMatch(e -> e.written().equals("one wheel left out")));
    }

    @Test
    void strikingWhatStandsElsewhere_isRefused() {
        Sitting other = centre.sitting(tasks, sittings, centre.neighbour());
        Centre.write(sittings, entries, centre.neighbour(), other, FRONT, "1400");
        String theirs = sittings.log(centre.id(), other.id()).entries().get(0).key();
        refused("sitting.otherSheet", entries.write(me, sitting, entry("1423.5", key(), theirs)));
        write("found/rearDistance/1/0", "1427");
        String otherLine = log().entries().get(0).key();
        refused("sitting.otherSheet", entries.write(me, sitting, entry("1423.5", key(), otherLine)));
    }

    @Test
    void aSheetFullForItsApprentice_stillTakesWhatStaffWrite() {
        jdbc.update("update sitting_state set apprentice_entries = ? where sitting_id = ?", Log.MOST, sitting.id());
        refused("sitting.full", write(FRONT, "1423.5"));
        assertEquals(
                Optional.empty(),
                sheets.override(centre.instructor(), now(), WORKING, new BigDecimal("7"), "seen", key()));
        jdbc.update("update sitting_state set apprentice_entries = 0 where sitting_id = ?", sitting.id());
    }

    @Test
    void callingTheInstructor_hasALimit() {
        for (int i = 0; i < 100; i++) {
            stands(flag(me));
        }
        refused("sitting.flags", flag(me));
        assertTrue(now().state().flagged());
        stands(entries.write(
                centre.instructor(),
                sitting,
                NewEntry.now(StaffLine.FLAG, StaffLine.ANSWERED, List.of(), key(), "desk")));
        assertFalse(now().state().flagged());
    }

    private Entries.Outcome flag(SignedIn who) {
        return entries.write(who, sitting, NewEntry.now(StaffLine.FLAG, StaffLine.RAISED, List.of(), key(), "test"));
    }

    @Test
    void nobodyMoves_whatAnotherStillReads() {
        Sitting other = centre.sitting(tasks, sittings, centre.neighbour());
        Centre.write(sittings, entries, centre.neighbour(), other, FRONT, "1400");
        refused("sitting.stillReading", write("left/frontDistance/1/1", "1423.5"));
        for (String line :
                new String[] {"found/rearDistance/1/0", "found/frontDistance/2/0", "found/rearDistance/2/0"}) {
            stands(Centre.write(sittings, entries, centre.neighbour(), other, line, "1401"));
        }
        stands(write("left/frontDistance/1/1", "1423.5"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "found/frontDistance/3/0",
                "found/frontDistance/1/1",
                "found/frontDistance/0/0",
                "found/nowhere/1/0",
                "left/frontDistance/1/2",
                "_mark/work.working/0/0",
                "_staff/admit/0/0",
                "adjust/next/0/1",
            })
    void aLineThatIsNotOnTheSheet_takesNothing(String line) {
        assertThrows(NotThere.class, () -> write(line, "1423.5"));
        assertEquals(0, log().entries().size());
    }

    @Test
    void nobodySees_whatIsNotHis() {
        assertThrows(NotThere.class, () -> sittings.sitting(centre.neighbour(), sitting.id()));
        var elsewhere = centres.plates();
        assertThrows(NotThere.class, () -> sittings.sitting(elsewhere.instructor(), sitting.id()));
        assertThrows(NotThere.class, () -> sittings.sitting(me.joined(Ids.next()), sitting.id()));
        assertThrows(
                NotThere.class, () -> Centre.write(sittings, entries, centre.instructor(), sitting, FRONT, "1423.5"));
    }

    @Test
    void begunTwice_itIsTheSameSitting_andSatAgainItIsTheNextAttempt() {
        assertEquals(sitting.id(), centre.sitting(tasks, sittings).id());
        write(HAND_IN, "done");
        var again = sittings.sitting(me, sittings.sitAgain(centre.instructor(), now()));
        assertEquals(2, again.attempt());
        assertFalse(again.state().handedIn());
        assertEquals(again.id(), centre.sitting(tasks, sittings).id(), "joining leads to the newest");
    }

    @Test
    void theState_isWhatTheEntriesMakeOfIt() {
        write(FRONT, "1423.5");
        flag(me);
        write(HAND_IN, "done");
        decisions.giveTime(centre.instructor(), now(), "15", "the lift was taken", key());
        centres.otherVehicle(centre, 4);
        decisions.moveTo(centre.instructor(), now(), "4", key());
        sheets.sign(centre.instructor(), now(), key());
        sheets.release(centre.instructor(), now(), key());
        Map<Object, Map<String, Object>> before = states();
        jdbc.update(
                "update sitting_state set last_seq = 0, flagged = false, handed_in_at = null, released_at = null,"
                        + " bay = null, extra_minutes = 0, apprentice_entries = 9 where sitting_id = ?",
                sitting.id());
        assertTrue(sittings.rebuild() > 0);
        Map<Object, Map<String, Object>> made = states();
        before.forEach((id, state) -> assertEquals(state, made.get(id)));
        assertEquals(Optional.of(4), now().bay());
    }

    /** Every sitting of the database, the demo's too. */
    private Map<Object, Map<String, Object>> states() {
        Map<Object, Map<String, Object>> states = new HashMap<>();
        jdbc.queryForList("select * from sitting_state").forEach(row -> states.put(row.get("sitting_id"), row));
        return states;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "update entry set written = 'x'",
                "delete from entry",
                "truncate entry",
                "update mark_sheet set total = 100",
                "delete from mark_line",
                "update task_version set document_version = 2 -- = 'x'",
                "delete from vehicle_state",
                "drop table entry",
                "alter table entry disable trigger all",
            })
    void theApplicationsRole_canOnlyAdd(String statement) throws Exception {
        try (var connection = DriverManager.getConnection(
                        System.getProperty("GALDRIN_DB_URL"),
                        System.getProperty("GALDRIN_DB_USER"),
                        System.getProperty("GALDRIN_DB_PASSWORD"));
                var sql = connection.createStatement()) {
            var refused = assertThrows(java.sql.SQLException.class, () -> sql.execute(statement));
            assertEquals("42501", refused.getSQLState(), refused.getMessage());
        }
    }
}
