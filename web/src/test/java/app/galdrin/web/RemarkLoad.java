package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Scheme;
import app.galdrin.web.account.People;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.remark.Remark;
import app.galdrin.web.remark.RemarkState;
import app.galdrin.web.remark.Remarks;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.postgresql.PGConnection;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Marks many sittings again, and reads and writes the same rows plainly in the same run: {@code ./galdrin bench remark 100000}. The sittings
 * are those of the demo's toe task by strings, copied with all that was written and read.
 */
@GaldrinTest
class RemarkLoad {

    private static final int AT_ONCE = 500;
    private static final int PATIENCE_MS = 1_800_000;

    /** One person sits it so often at most. */
    private static final int ATTEMPTS = 90;

    @Autowired
    private Tasks tasks;

    @Autowired
    private People people;

    @Autowired
    private Sittings sittings;

    @Autowired
    private MarkSheets sheets;

    @Autowired
    private Remarks remarks;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private DataSource database;

    @Test
    void marksManyAnew() throws Exception {
        int wanted = Integer.getInteger("galdrin.remark.sittings", 1000);
        UUID centre = jdbc.queryForObject("select centre_id from person where sign_in = 'm.aldous'", UUID.class);
        UUID aldous = jdbc.queryForObject("select id from person where sign_in = 'm.aldous'", UUID.class);
        SignedIn me = people.session(centre, aldous);
        UUID first = jdbc.queryForObject(
                "select id from task_version where title = 'Front toe by two strings' and centre_id = ?",
                UUID.class,
                centre);
        TaskVersion task = tasks.task(centre, first);
        List<UUID> patterns =
                sittings.ofTask(centre, task.id()).stream().map(s -> s.id()).toList();
        patterns.forEach(
                id -> sheets.sign(me, sittings.sitting(me, id), Ids.next().toString()));
        long copied = System.nanoTime();
        copy(centre, patterns, wanted);
        say("copied %d sittings in %.0f s", wanted, seconds(copied));
        jdbc.execute("set statement_timeout = 0");
        Remark ready = timed(
                "worked out",
                me,
                () -> remarks.begin(me, worthMore(task, aldous), Optional.empty(), "a load run")
                        .orElseThrow()
                        .id(),
                RemarkState.READY);
        assertEquals(wanted + patterns.size(), ready.total());
        long applied = System.nanoTime();
        assertEquals(Optional.empty(), remarks.apply(me, ready.id()));
        until(me, ready.id(), RemarkState.APPLIED);
        say("applied %d changed sheets in %.1f s", ready.changed(), seconds(applied));
        plain(centre, task.id());
    }

    private interface Begun {
        UUID begin();
    }

    private Remark timed(String what, SignedIn me, Begun begun, RemarkState state) throws InterruptedException {
        long start = System.nanoTime();
        UUID id = begun.begin();
        Remark done = until(me, id, state);
        say("%s: %d sittings in %.1f s", what, done.total(), seconds(start));
        return done;
    }

    private Remark until(SignedIn me, UUID id, RemarkState state) throws InterruptedException {
        Remark now = remarks.remark(me, id);
        while (now.state() != state) {
            if (now.state() == RemarkState.FAILED) {
                throw new IllegalStateException("failed");
            }
            Thread.sleep(200);
            now = remarks.remark(me, id);
        }
        return now;
    }

    private static double seconds(long since) {
        return (System.nanoTime() - since) / 1e9;
    }

    private static void say(String text, Object... args) {
        System.out.println("REMARK " + String.format(Locale.ROOT, text, args));
    }

    private TaskVersion worthMore(TaskVersion before, UUID person) {
        Scheme old = before.practical().scheme();
        var id = new Criterion.Id("prepare", Aspect.CRITICAL);
        var scheme = new Scheme(
                old.criteria().stream()
                        .map(c -> c.id().equals(id) ? new Criterion(id, c.marks() + 5, true, c.bands()) : c)
                        .toList(),
                old.slipKeepsPercent());
        UUID next = Ids.next();
        List<UUID> on = before.sheets().stream().map(s -> s.id()).toList();
        tasks.set(
                next,
                before.centreId(),
                person,
                before.practical().with(scheme),
                on,
                before.classId(),
                Optional.of(before));
        return tasks.task(before.centreId(), next);
    }

    // ---- copies

    private static String id(String text) {
        return "md5(" + text + "::text || n)::uuid";
    }

    /** Everything of a sitting under new ids: the sitting, what was written, its state, the readings of that, its marks. */
    private void copy(UUID centre, List<UUID> patterns, int wanted) {
        for (int person = 0; person * ATTEMPTS < wanted; person++) {
            jdbc.update(
                    "insert into person (id, centre_id, role, display_name, sign_in, password_hash)"
                            + " values (md5('load' || ?)::uuid, ?, 'APPRENTICE', 'Load ' || ?, 'load.' || ?, '-')",
                    person,
                    centre,
                    person,
                    person);
        }
        for (int from = 0; from < wanted; from += AT_ONCE) {
            int to = Math.min(wanted, from + AT_ONCE) - 1;
            for (UUID pattern : patterns) {
                copy(new Copies(
                        centre,
                        pattern,
                        "generate_series(" + from + ", " + to + ") n",
                        "n % " + patterns.size() + " = " + patterns.indexOf(pattern)));
            }
        }
    }

    /**
     * One pattern under as many new ids as there are numbers.
     *
     * @param numbers a series n, and after it which of them
     */
    private record Copies(UUID centre, UUID pattern, String numbers, String which) {
        /** Rows of a table with some of their columns changed; the record is made once a row and not once a column. */
        String of(String table, String row, String joins, String changed, String where) {
            return "insert into " + table + " select made.* from " + table + " " + row + joins + ", " + numbers
                    + ", lateral jsonb_populate_record(" + row + ", jsonb_build_object(" + changed + ")) made where "
                    + which + " and " + where + " = '" + pattern + "' and " + row + ".centre_id = '" + centre + "'";
        }
    }

    private void copy(Copies copies) {
        String person = "md5('load' || (n / " + ATTEMPTS + "))::uuid";
        jdbc.update(copies.of(
                "sitting",
                "s",
                "",
                "'id', " + id("s.id") + ", 'person_id', " + person + ", 'attempt', 2 + n % " + ATTEMPTS,
                "s.id"));
        jdbc.update(copies.of(
                "sitting_person",
                "p",
                "",
                "'sitting_id', " + id("p.sitting_id") + ", 'person_id', " + person,
                "p.sitting_id"));
        for (String table : List.of("sitting_state", "entry")) {
            jdbc.update(copies.of(table, "e", "", "'sitting_id', " + id("e.sitting_id"), "e.sitting_id"));
        }
        for (String table : List.of("mark_sheet", "mark_line")) {
            jdbc.update(copies.of(
                    table,
                    "m",
                    "",
                    "'sitting_id', " + id("m.sitting_id") + ", 'person_id', " + person,
                    "m.sitting_id"));
        }
        jdbc.update(copies.of(
                "vehicle_state",
                "v",
                "",
                "'id', " + id("v.id") + ", 'sitting_id', " + id("v.sitting_id"),
                "v.sitting_id"));
        String state = " join vehicle_state v on v.centre_id = r.centre_id and v.id = r.state_id";
        jdbc.update(copies.of(
                "sitting", "r", state, "'id', " + id("r.id") + ", 'state_id', " + id("r.state_id"), "v.sitting_id"));
        for (String table : List.of("sitting_state", "entry")) {
            jdbc.update(copies.of(
                    table,
                    "e",
                    " join sitting r on r.centre_id = e.centre_id and r.id = e.sitting_id" + state,
                    "'sitting_id', " + id("e.sitting_id"),
                    "v.sitting_id"));
        }
    }

    // ---- the same rows, read and written plainly

    private void plain(UUID centre, UUID task) throws SQLException, IOException {
        String mine =
                " where x.centre_id = '" + centre + "' and x.sitting_id in (select id from sitting where centre_id = '"
                        + centre + "' and task_id = '" + task + "')";
        try (Connection connection = database.getConnection()) {
            connection.setNetworkTimeout(Runnable::run, PATIENCE_MS);
            var copy = connection.unwrap(PGConnection.class).getCopyAPI();
            long start = System.nanoTime();
            double read = 0;
            for (String table : List.of("entry", "mark_sheet", "mark_line")) {
                Path file = Files.createTempFile("remark", table);
                long one = System.nanoTime();
                try (var out = Files.newOutputStream(file)) {
                    copy.copyOut("copy (select x.* from " + table + " x" + mine + ") to stdout", out);
                }
                read += seconds(one);
                try (var create = connection.createStatement()) {
                    create.execute("create temporary table plain_" + table + " (like " + table + ")");
                }
                try (var in = Files.newInputStream(file)) {
                    copy.copyIn("copy plain_" + table + " from stdin", in);
                }
                say("plain %s: %d MB", table, Files.size(file) / 1_000_000);
                Files.delete(file);
            }
            say("plainly read in %.1f s, read and written in %.1f s", read, seconds(start));
            connection.setNetworkTimeout(Runnable::run, 4000);
        }
    }
}
