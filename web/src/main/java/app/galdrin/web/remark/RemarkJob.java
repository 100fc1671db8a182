package app.galdrin.web.remark;

import app.galdrin.core.marking.KnownReferences;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.WorkingSteps;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.background.Background;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.marksheet.EvidenceJson;
import app.galdrin.web.marksheet.MarkSheetRow;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.remark.RemarkMapper.Concerned;
import app.galdrin.web.remark.Remarks.State;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskVersion;
import jakarta.annotation.PreDestroy;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import javax.sql.DataSource;
import org.apache.ibatis.cursor.Cursor;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The work of marking anew: sittings, what was written and what was read of the vehicles come in by cursors side by side, the marks go out by
 * COPY, some hundred sittings at a time; after each of these it is looked whether someone has stopped it.
 */
@Component
class RemarkJob {

    private static final Logger LOG = LoggerFactory.getLogger(RemarkJob.class);

    private static final int AT_ONCE = 500;
    private static final int IN_A_PORTION = 25;
    private static final int APPLIED_AT_ONCE = 2000;

    /** What one answer of the database may take here, where everywhere else it is seconds. */
    private static final int PATIENCE_MS = 600_000;

    private static final String SHEETS =
            "copy remark_sheet (centre_id, remark_id, sitting_id, person_id, old_number, engine, entry_seq,"
                    + " reference_seqs, total, available, percent, competent, complete, old_total, old_percent, old_competent, changed) from stdin";
    private static final String LINES =
            "copy remark_line (centre_id, remark_id, sitting_id, person_id, ordinal, step, aspect, available,"
                    + " must_pass, credit, computed, given, reason, evidence_version, evidence) from stdin";

    private final RemarkMapper mapper;
    private final Sittings sittings;
    private final Library library;
    private final EvidenceJson json;
    private final DataSource database;
    private final Background background;
    private final TransactionTemplate transaction;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        var thread = new Thread(work, "remark");
        thread.setDaemon(true);
        return thread;
    });

    RemarkJob(
            RemarkMapper mapper,
            Sittings sittings,
            Library library,
            EvidenceJson json,
            DataSource database,
            Background background,
            PlatformTransactionManager transactions) {
        this.mapper = mapper;
        this.sittings = sittings;
        this.library = library;
        this.json = json;
        this.database = database;
        this.background = background;
        this.transaction = new TransactionTemplate(transactions);
        transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    /** Someone has stopped it: what was begun is rolled back. */
    private static final class JobStopped extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    /** Something was written or marked since it was worked out. */
    private static final class SheetOutdated extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    // ---- working it out

    void work(UUID id, Concerned which, TaskVersion version, Optional<SheetVersion> on) {
        worker.execute(() -> guarded(which.centreId(), id, State.WORKING, () -> {
            transaction.executeWithoutResult(tx -> patiently(connection -> read(id, which, version, on)));
            mapper.to(which.centreId(), id, State.WORKING, State.READY);
        }));
    }

    private void guarded(UUID centre, UUID id, State state, Runnable work) {
        try {
            work.run();
        } catch (JobStopped e) {
            clear(centre, id);
        } catch (SheetOutdated | DuplicateKeyException e) {
            clear(centre, id);
            mapper.to(centre, id, state, State.STALE);
        } catch (RuntimeException e) {
            LOG.error("marking anew {} of centre {} came to nothing while {}", id, centre, state.key(), e);
            clear(centre, id);
            mapper.to(centre, id, state, State.FAILED);
        }
    }

    /** Throws away what was laid down. */
    void clear(UUID centre, UUID id) {
        transaction.executeWithoutResult(tx -> patiently(connection -> {
            mapper.clearLines(centre, id);
            mapper.clearSheets(centre, id);
        }));
    }

    private interface OnConnection {
        void run(Connection connection) throws IOException, SQLException;
    }

    /** Lets one answer of the database take its time, on the transaction's connection. */
    private void patiently(OnConnection work) {
        Connection connection = DataSourceUtils.getConnection(database);
        try {
            int usual = connection.getNetworkTimeout();
            connection.setNetworkTimeout(Runnable::run, PATIENCE_MS);
            work.run(connection);
            connection.setNetworkTimeout(Runnable::run, usual);
        } catch (SQLException e) {
            throw new IllegalStateException("the database refused", e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            DataSourceUtils.releaseConnection(connection, database);
        }
    }

    /** A sitting with all that it is marked by. */
    private record RemarkItem(
            List<RemarkMapper.StoredSheetRow> people,
            KnownReferences known,
            Practical practical,
            Log log,
            References references,
            Map<UUID, Integer> seqs) {

        MarkSheet withSteps(MarkSheet marked) {
            return new WorkingSteps(known.assignment(), log.answers()).on(marked);
        }
    }

    private void read(UUID id, Concerned which, TaskVersion version, Optional<SheetVersion> on) {
        var setting = new SharedData(which.centreId(), version, on);
        try (Cursor<RemarkMapper.StoredSheetRow> stored = mapper.stored(which);
                Cursor<RemarkMapper.SittingEntry> entries = mapper.entries(which);
                Cursor<RemarkMapper.SittingEntry> left = mapper.left(which)) {
            var sat = new GroupedRows<>(stored.iterator(), RemarkMapper.StoredSheetRow::sittingId);
            var wrote = new GroupedRows<>(entries.iterator(), RemarkMapper.SittingEntry::sittingId);
            var reread = new GroupedRows<>(left.iterator(), RemarkMapper.SittingEntry::sittingId);
            List<RemarkItem> batch = new ArrayList<>();
            for (UUID sitting = sat.next(); sitting != null; sitting = sat.next()) {
                batch.add(setting.one(sat.of(sitting), wrote.of(sitting), reread.of(sitting)));
                if (batch.size() == AT_ONCE) {
                    write(which.centreId(), id, batch);
                    batch.clear();
                }
            }
            write(which.centreId(), id, batch);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Marks some behind everything else that the server does, and lays down what comes out. */
    private void write(UUID centre, UUID id, List<RemarkItem> batch) {
        List<MarkSheet> marked = background.all(batch, IN_A_PORTION, RemarkJob::mark);
        var sheets = new CopyText();
        var lines = new CopyText();
        int changed = 0;
        for (int i = 0; i < batch.size(); i++) {
            RemarkItem one = batch.get(i);
            for (RemarkMapper.StoredSheetRow before : one.people()) {
                boolean other = isOther(before, marked.get(i));
                sheet(sheets, centre, id, one, before, marked.get(i), other);
                if (other) {
                    lines(lines, centre, id, before, one.withSteps(marked.get(i)));
                }
                changed += other ? 1 : 0;
            }
        }
        int changedHere = changed;
        transaction.executeWithoutResult(tx -> patiently(connection -> {
            var copy = connection.unwrap(PGConnection.class).getCopyAPI();
            copy.copyIn(SHEETS, new ByteArrayInputStream(sheets.bytes()));
            copy.copyIn(LINES, new ByteArrayInputStream(lines.bytes()));
            if (mapper.progress(centre, id, State.WORKING, batch.size(), changedHere) == 0) {
                throw new JobStopped();
            }
        }));
    }

    private static MarkSheet mark(RemarkItem one) {
        RemarkMapper.StoredSheetRow first = one.people().get(0);
        return SittingMarks.markSheet(
                one.known(),
                one.log(),
                SittingMarks.minutes(one.practical(), first.begunAt(), first.extraMinutes(), one.log()),
                one.references());
    }

    /** Whether anything of it comes out otherwise: a mark of any line, or whether it is competent. */
    private static boolean isOther(RemarkMapper.StoredSheetRow before, MarkSheet now) {
        Map<String, String> old = new HashMap<>();
        for (String line : before.marks().split(" ", -1)) {
            int at = line.indexOf('=');
            if (at > 0) {
                old.put(line.substring(0, at), line.substring(at + 1));
            }
        }
        return old.size() != now.lines().size()
                || before.competent() != now.competent()
                || now.lines().stream().anyMatch(l -> {
                    String was = old.get(l.criterion().key());
                    return was == null || new BigDecimal(was).compareTo(l.marks()) != 0;
                });
    }

    private void sheet(
            CopyText out,
            UUID centre,
            UUID id,
            RemarkItem one,
            RemarkMapper.StoredSheetRow before,
            MarkSheet now,
            boolean changed) {
        out.column(centre).column(id).column(before.sittingId()).column(before.personId());
        out.column(before.number())
                .column(Marker.ENGINE)
                .column(one.log().lastSeq())
                .column(json.seqs(one.seqs()));
        out.column(now.total()).column(now.available()).column(now.percent());
        out.column(now.competent()).column(now.complete());
        out.column(before.total()).column(before.percent()).column(before.competent());
        out.column(changed).end();
    }

    private void lines(CopyText out, UUID centre, UUID id, RemarkMapper.StoredSheetRow before, MarkSheet now) {
        int ordinal = 0;
        for (MarkLine line : now.lines()) {
            MarkSheetRow.LineRow row = json.toRow(line, ++ordinal);
            out.column(centre)
                    .column(id)
                    .column(before.sittingId())
                    .column(before.personId())
                    .column(ordinal);
            out.column(row.step())
                    .column(row.aspect().key())
                    .column(row.available())
                    .column(row.mustPass());
            out.column(row.credit()).column(row.computed()).column(row.given()).column(row.reason());
            out.column(row.evidenceVersion()).column(row.evidence()).end();
        }
    }

    /** What sittings share: their assignments and the references of the vehicles as found, each looked up once. */
    private final class SharedData {
        private final UUID centre;
        private final TaskVersion version;
        private final Optional<SheetVersion> on;
        private final Map<SharedData.AssignmentKey, KnownReferences> assignments = new HashMap<>();
        private final Map<UUID, Sheet> sheets = new HashMap<>();
        private final Map<UUID, Optional<Reference>> found = new HashMap<>();

        private record AssignmentKey(UUID sheetId, BayFloor floor) {}

        private record Reference(UUID id, int lastSeq, Answers answers) {}

        SharedData(UUID centre, TaskVersion version, Optional<SheetVersion> on) {
            this.centre = centre;
            this.version = version;
            this.on = on;
        }

        RemarkItem one(
                List<RemarkMapper.StoredSheetRow> people,
                List<RemarkMapper.SittingEntry> entries,
                List<RemarkMapper.SittingEntry> left) {
            RemarkMapper.StoredSheetRow first = people.get(0);
            var where =
                    new SharedData.AssignmentKey(first.sheetId(), first.floor().orElse(BayFloor.LEVEL));
            KnownReferences known = assignments.computeIfAbsent(where, w -> new KnownReferences(assignment(w)));
            Assignment assignment = known.assignment();
            var log = new Log(
                    entries.stream().map(RemarkMapper.SittingEntry::entry).toList());
            int round = lastRound(assignment, sheets.computeIfAbsent(first.sheetId(), s -> new Sheet(assignment)), log);
            Map<UUID, Integer> seqs = new LinkedHashMap<>();
            Answers asFound = asFound(first, seqs);
            Answers asLeft = asLeft(left, round, 1, seqs);
            Answers again = asLeft(left, round, 2, seqs);
            return new RemarkItem(
                    people,
                    known,
                    version.practical(),
                    log,
                    new References(asFound, asLeft, again, first.released()),
                    seqs);
        }

        private Assignment assignment(SharedData.AssignmentKey where) {
            SheetVersion sheet = on.orElseGet(() -> library.sheet(centre, where.sheetId()));
            return new Assignment(version.practical(), sheet.sheet(), where.floor());
        }

        private int lastRound(Assignment assignment, Sheet sheet, Log log) {
            return assignment
                    .practical()
                    .of(Round.class)
                    .mapToInt(round -> sheet.rounds(round, log.answers()))
                    .max()
                    .orElse(1);
        }

        private Answers asFound(RemarkMapper.StoredSheetRow sitting, Map<UUID, Integer> seqs) {
            Optional<Reference> reference = found.computeIfAbsent(
                    sitting.stateId(),
                    state -> sittings.findReference(centre, sitting.taskId(), state)
                            .map(this::reference));
            reference.ifPresent(r -> seqs.put(r.id(), r.lastSeq()));
            return reference.map(Reference::answers).orElse(Answers.none());
        }

        private Reference reference(UUID id) {
            Log log = sittings.log(centre, id);
            return new Reference(id, log.lastSeq(), sittings.asRead(centre, Optional.of(id), log.answers()));
        }

        /** The last reference that was taken of a state, of those for several versions of the practical. */
        private Answers asLeft(List<RemarkMapper.SittingEntry> left, int round, int attempt, Map<UUID, Integer> seqs) {
            List<RemarkMapper.SittingEntry> here = left.stream()
                    .filter(e -> e.round() == round && e.attempt() == attempt)
                    .toList();
            if (here.isEmpty()) {
                return Answers.none();
            }
            UUID last = here.get(here.size() - 1).inSitting();
            var log = new Log(here.stream()
                    .filter(e -> e.inSitting().equals(last))
                    .map(RemarkMapper.SittingEntry::entry)
                    .toList());
            seqs.put(last, log.lastSeq());
            return log.answers();
        }
    }

    /** Rows that come in the order of their sittings, handed out a sitting at a time. */
    private static final class GroupedRows<T> {
        private final Iterator<T> rows;
        private final Function<T, UUID> sitting;
        private @Nullable T waiting;

        GroupedRows(Iterator<T> rows, Function<T, UUID> sitting) {
            this.rows = rows;
            this.sitting = sitting;
            this.waiting = rows.hasNext() ? rows.next() : null;
        }

        /** The sitting of the row that comes next; null behind the last. */
        @Nullable
        UUID next() {
            T row = waiting;
            return row == null ? null : sitting.apply(row);
        }

        List<T> of(UUID wanted) {
            List<T> all = new ArrayList<>();
            for (T row = waiting; row != null && sitting.apply(row).equals(wanted); row = waiting) {
                all.add(row);
                waiting = rows.hasNext() ? rows.next() : null;
            }
            return all;
        }
    }

    // ---- applying it

    void apply(SignedIn me, UUID id) {
        worker.execute(() -> guarded(me.centreId(), id, State.APPLYING, () -> {
            transaction.executeWithoutResult(tx -> patiently(connection -> put(me, id)));
            clear(me.centreId(), id);
        }));
    }

    /**
     * All of it in one transaction, one of a centre at a time; how far it is is told by another. A sheet that someone signs meanwhile takes
     * the number that this one was to have, and nothing is applied.
     */
    private void put(SignedIn me, UUID id) {
        UUID centre = me.centreId();
        mapper.lockCentre(centre);
        if (mapper.stale(centre, id) > 0) {
            throw new SheetOutdated();
        }
        @Nullable UUID after = null;
        Optional<UUID> upTo = mapper.upTo(centre, id, null, APPLIED_AT_ONCE);
        while (upTo.isPresent()) {
            mapper.applySheets(centre, id, after, upTo.get(), me.personId());
            mapper.applyLines(centre, id, after, upTo.get());
            mapper.applyMarkedBy(centre, id, after, upTo.get());
            transaction.executeWithoutResult(tx -> {
                if (mapper.progress(centre, id, State.APPLYING, APPLIED_AT_ONCE, 0) == 0) {
                    throw new JobStopped();
                }
            });
            after = upTo.get();
            upTo = mapper.upTo(centre, id, after, APPLIED_AT_ONCE);
        }
        if (mapper.to(centre, id, State.APPLYING, State.APPLIED) == 0) {
            throw new JobStopped();
        }
    }
}
