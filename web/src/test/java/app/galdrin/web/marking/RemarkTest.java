package app.galdrin.web.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.remark.Remark;
import app.galdrin.web.remark.RemarkState;
import app.galdrin.web.remark.Remarks;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.math.BigDecimal;
import java.sql.Connection;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Re-marking, on the real database. */
@GaldrinTest
class RemarkTest {

    private static final Criterion.Id WORKING = new Criterion.Id("work", Aspect.WORKING);

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private VehicleReferences vehicles;

    @Autowired
    private MarkSheets sheets;

    @Autowired
    private Entries entries;

    @Autowired
    private Remarks remarks;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private DataSource database;

    private Centre centre;
    private Sitting right;
    private Sitting wrong;

    @BeforeEach
    void twoAreSigned() {
        centre = centres.plates();
        centres.reference(centre);
        right = centres.sat(centre, "Ada", "0.34", true);
        wrong = centres.sat(centre, "Bea", "3", true);
        centres.sat(centre, "Cyd", "0.34", false);
    }

    /** The next version of the task, in which the working has other marks. */
    private TaskVersion worth(int marks) {
        TaskVersion before = tasks.task(centre.id(), centre.taskId());
        Scheme old = before.practical().scheme();
        var scheme = new Scheme(
                old.criteria().stream()
                        .map(c -> c.id().equals(WORKING) ? new Criterion(c.id(), marks, c.mustPass(), c.bands()) : c)
                        .toList(),
                old.slipKeepsPercent(),
                old.grades());
        return next(before, before.practical().with(scheme));
    }

    private TaskVersion next(TaskVersion before, Practical practical) {
        UUID id = Ids.next();
        tasks.set(
                id,
                centre.id(),
                centre.instructor().personId(),
                practical,
                List.of(before.firstSheet().id()),
                before.classId(),
                Optional.of(before));
        return tasks.task(centre.id(), id);
    }

    private Remark workedOut(TaskVersion version) throws InterruptedException {
        return until(begin(version).id(), RemarkState.READY);
    }

    private Remarks.Begun begin(TaskVersion version) {
        return remarks.begin(centre.instructor(), version, Optional.empty(), "the working counts for more")
                .orElseThrow();
    }

    private Remark until(UUID id, RemarkState state) throws InterruptedException {
        Instant end = Instant.now().plus(Duration.ofSeconds(30));
        Remark now = remarks.remark(centre.instructor(), id);
        while (now.state() != state && Instant.now().isBefore(end)) {
            Thread.sleep(20);
            now = remarks.remark(centre.instructor(), id);
        }
        assertEquals(state, now.state());
        return now;
    }

    private int stored() {
        return jdbc.queryForObject("select count(*) from mark_sheet where centre_id = ?", Integer.class, centre.id());
    }

    private int laidDown() {
        return jdbc.queryForObject(
                "select (select count(*) from remark_line where centre_id = ?) + (select count(*) from remark_sheet where centre_id = ?)",
                Integer.class,
                centre.id(),
                centre.id());
    }

    @Test
    void whatWouldChange_isShown_beforeAnythingDoes_andThenAppliedWhole() throws InterruptedException {
        sheets.override(
                centre.instructor(),
                right,
                new Criterion.Id("found", Aspect.READING),
                new BigDecimal("1"),
                "led",
                key());
        sheets.sign(centre.instructor(), right, key());
        BigDecimal before = sheets.stored(right).orElseThrow().total();
        Remark ready = workedOut(worth(40));
        assertEquals(2, ready.total(), "who is not signed has no marks to change");
        assertEquals(1, ready.changed(), "whose working was wrong has nothing of it either way");
        assertEquals(3, stored());
        var changed = remarks.changed(ready, 0);
        assertEquals("Ada", changed.get(0).name());
        assertEquals(before.add(new BigDecimal("20.0")), changed.get(0).total());
        var lines = remarks.lines(ready, changed).values().iterator().next();
        assertEquals(List.of(WORKING), lines.stream().map(l -> l.criterion()).toList());
        assertEquals(new BigDecimal("20.0"), lines.get(0).before().orElseThrow());
        assertEquals(new BigDecimal("40.0"), lines.get(0).after().orElseThrow());
        assertEquals(Optional.empty(), remarks.apply(centre.instructor(), ready.id()));
        until(ready.id(), RemarkState.APPLIED);
        Sitting now = sittings.sitting(centre.instructor(), right.id());
        assertEquals(
                40,
                now.markedBy()
                        .practical()
                        .scheme()
                        .criterion(WORKING)
                        .orElseThrow()
                        .marks());
        assertEquals(
                before.add(new BigDecimal("20.0")),
                sheets.stored(now).orElseThrow().total());
        assertEquals(
                List.of("the working counts for more"),
                sheets.history(now).stream()
                        .flatMap(h -> Optional.ofNullable(h.reason()).stream())
                        .toList());
        assertEquals(before, sheets.stored(now, 2).orElseThrow().total(), "what was signed stays readable");
        assertEquals(0, laidDown());
        assertEquals(Optional.empty(), sheets.release(centre.instructor(), now, key()), "signed as it stands now");
        var teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        assertTrue(teacher.get("/marking/" + right.id()).body().contains("re-marked: the working counts for more"));
        assertTrue(teacher.get("/marking/" + right.id() + "/stored/1").body().contains("signed"));
    }

    private static String key() {
        return Ids.next().toString();
    }

    @Test
    void thrownAway_nothingWasThere() throws InterruptedException {
        Remark ready = workedOut(worth(40));
        assertTrue(laidDown() > 0);
        remarks.cancel(centre.instructor(), ready.id());
        assertEquals(
                RemarkState.CANCELLED,
                remarks.remark(centre.instructor(), ready.id()).state());
        assertEquals(0, laidDown());
        assertEquals(2, stored());
        assertTrue(remarks.apply(centre.instructor(), ready.id()).isPresent());
    }

    /** Another connection holds the table of marks, so that it is stopped in the middle of being applied. */
    @Test
    void stoppedWhileItIsApplied_nothingIsHalfDone() throws Exception {
        Remark ready = workedOut(worth(40));
        try (Connection other = database.getConnection()) {
            other.setAutoCommit(false);
            try (var lock = other.createStatement()) {
                lock.execute("lock table marking_basis in share mode");
            }
            assertEquals(Optional.empty(), remarks.apply(centre.instructor(), ready.id()));
            remarks.cancel(centre.instructor(), ready.id());
            other.rollback();
        }
        until(ready.id(), RemarkState.CANCELLED);
        Instant end = Instant.now().plus(Duration.ofSeconds(10));
        while (laidDown() > 0 && Instant.now().isBefore(end)) {
            Thread.sleep(20);
        }
        assertEquals(0, laidDown());
        assertEquals(2, stored());
        assertEquals(
                centre.taskId(),
                sittings.sitting(centre.instructor(), right.id()).markedBy().id());
    }

    @Test
    void whatWasWrittenSince_isNotMarkedOver() throws InterruptedException {
        Remark ready = workedOut(worth(40));
        sheets.override(centre.instructor(), wrong, WORKING, BigDecimal.TEN, "said it right", key());
        assertEquals(Optional.empty(), remarks.apply(centre.instructor(), ready.id()));
        until(ready.id(), RemarkState.STALE);
        assertEquals(0, laidDown());
        assertEquals(2, stored());
    }

    /** Two lists of the same sheets by two schemes, both ready: whichever is applied first, the other is out of date. */
    @Test
    void ofTwoThatAreApplied_theSecondComesToNothing() throws InterruptedException {
        Remark first = workedOut(worth(40));
        Remark second = workedOut(worth(30));
        assertEquals(Optional.empty(), remarks.apply(centre.instructor(), first.id()));
        assertEquals(Optional.empty(), remarks.apply(centre.instructor(), second.id()));
        until(first.id(), RemarkState.APPLIED);
        until(second.id(), RemarkState.STALE);
        assertEquals(3, stored());
        remarks.cancel(centre.instructor(), second.id());
        until(second.id(), RemarkState.CANCELLED);
    }

    /** The marks are held by another connection, so that the first is at work when the second is asked for. */
    @Test
    void pressedTwice_itIsTheOneThatIsAtWork() throws Exception {
        TaskVersion version = worth(40);
        Remarks.Begun first;
        try (Connection other = database.getConnection()) {
            other.setAutoCommit(false);
            try (var lock = other.createStatement()) {
                lock.execute("lock table remark_sheet in share mode");
            }
            first = begin(version);
            assertFalse(first.already());
            assertEquals(new Remarks.Begun(first.id(), true), begin(version));
            TaskVersion before = tasks.task(centre.id(), centre.taskId());
            assertEquals(new Remarks.Begun(first.id(), true), begin(before), "one of a centre at a time");
            other.rollback();
        }
        until(first.id(), RemarkState.READY);
        assertFalse(begin(version).already());
    }

    /** As after a server was killed: what it left does not stand in the way. */
    @Test
    void whatAStoppedServerLeft_isGivenUpForTheNext() throws Exception {
        TaskVersion version = worth(40);
        Remarks.Begun left;
        Remarks.Begun next;
        try (Connection other = database.getConnection()) {
            other.setAutoCommit(false);
            try (var lock = other.createStatement()) {
                lock.execute("lock table remark_sheet in share mode");
            }
            left = begin(version);
            jdbc.update("update remark set beat_at = beat_at - interval '3 minutes' where id = ?", left.id());
            next = begin(version);
            other.rollback();
        }
        assertFalse(next.already());
        until(next.id(), RemarkState.READY);
        until(left.id(), RemarkState.FAILED);
    }

    /** A version with other steps marks nothing that was sat under these; nor does one without a reason. */
    @Test
    void onlyWhatHasTheSameSteps_isMarkedByAVersion() {
        TaskVersion before = tasks.task(centre.id(), centre.taskId());
        Practical p = before.practical();
        Practical without = p.with(p.steps().subList(1, p.steps().size()));
        TaskVersion shorter =
                next(before, TaskStart.withDefaults(without, before.firstSheet().sheet()));
        assertEquals(0, remarks.concerned(shorter, Optional.empty()));
        assertEquals(2, remarks.concerned(before, Optional.empty()));
        assertEquals(Optional.empty(), remarks.begin(centre.instructor(), before, Optional.empty(), " "));
    }

    @Test
    void nobodyElse_seesOrMarksAnew() throws InterruptedException {
        Remark ready = workedOut(worth(40));
        for (String who : List.of(
                centres.plates().instructor().signIn(), centre.apprentice().signIn())) {
            Visitor other = new Visitor(port).signIn(who, Centre.PASSWORD);
            int seen = other.get("/marking/re-mark/job/" + ready.id()).statusCode();
            int applied = other.post("/marking/re-mark/job/" + ready.id() + "/apply", Map.of())
                    .statusCode();
            assertTrue(seen == 403 || seen == 404, who + " " + seen);
            assertTrue(applied == 403 || applied == 404, who + " " + applied);
        }
        assertFalse(remarks.remark(centre.instructor(), ready.id()).state() == RemarkState.APPLIED);
    }

    /** Released, a vehicle that was left in doubt was taken as it stood: re-marking does not ask for another reading of it. */
    @Test
    void whatIsReleased_asksForNoOtherReading() throws InterruptedException {
        sheets.sign(centre.instructor(), right, key());
        assertEquals(
                Optional.empty(),
                sheets.release(centre.instructor(), sittings.sitting(centre.instructor(), right.id()), key()));
        UUID left = vehicles.referenceAsLeft(centre.instructor(), right);
        Sitting reference = sittings.sitting(centre.instructor(), left);
        for (int repeat = 1; repeat <= 2; repeat++) {
            Centre.write(
                    sittings, entries, centre.instructor(), reference, "left/frontDistance/" + repeat + "/1", "1905");
            Centre.write(
                    sittings, entries, centre.instructor(), reference, "left/rearDistance/" + repeat + "/1", "1904.5");
        }
        Remark ready = workedOut(worth(40));
        var asLeft = remarks.lines(ready, remarks.changed(ready, 0)).values().stream()
                .flatMap(List::stream)
                .filter(l -> l.criterion().aspect() == Aspect.AS_LEFT)
                .findFirst()
                .orElseThrow();
        assertEquals(new BigDecimal("10.0"), asLeft.after().orElseThrow(), "0.06 toe-out: inside by the mean");
    }
}
