package app.galdrin.web.remark;

import app.galdrin.core.marking.MarkSheet;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.background.Background;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.marksheet.EvidenceJson;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.remark.RemarkMapper.Concerned;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleHistories;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.TaskVersion;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.sql.DataSource;
import org.apache.ibatis.cursor.Cursor;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The work of re-marking: sittings, what was written and what was read of the vehicles come in by cursors side by side, the marks go out by
 * COPY, some hundred sittings at a time; after each of these it is looked whether someone has stopped it.
 */
@Component
class RemarkJob {

    private static final Logger LOG = LoggerFactory.getLogger(RemarkJob.class);

    private static final int AT_ONCE = 500;
    private static final int IN_A_PORTION = 25;
    private static final int APPLIED_AT_ONCE = 2000;

    /** Longest wait for one answer of the database here, ms; everywhere else it is seconds. */
    private static final int PATIENCE_MS = 600_000;

    private final RemarkMapper mapper;
    private final Sittings sittings;
    private final VehicleReferences vehicles;
    private final VehicleHistories histories;
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
            VehicleReferences vehicles,
            VehicleHistories histories,
            Library library,
            EvidenceJson json,
            DataSource database,
            Background background,
            PlatformTransactionManager transactions) {
        this.mapper = mapper;
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.histories = histories;
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

    /** Refusal because something was written or marked since it was worked out. */
    private static final class SheetOutdated extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    // ---- working it out

    void work(UUID id, Concerned which, TaskVersion version, Optional<SheetVersion> on) {
        worker.execute(() -> guarded(which.centreId(), id, RemarkState.WORKING, () -> {
            transaction.executeWithoutResult(tx -> patiently(connection -> read(id, which, version, on)));
            mapper.to(which.centreId(), id, RemarkState.WORKING, RemarkState.READY);
        }));
    }

    private void guarded(UUID centre, UUID id, RemarkState state, Runnable work) {
        try {
            work.run();
        } catch (JobStopped e) {
            clear(centre, id);
        } catch (SheetOutdated | DuplicateKeyException e) {
            clear(centre, id);
            mapper.to(centre, id, state, RemarkState.STALE);
        } catch (RuntimeException e) {
            LOG.error("re-marking {} of centre {} came to nothing while {}", id, centre, state.key(), e);
            clear(centre, id);
            mapper.to(centre, id, state, RemarkState.FAILED);
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

    private void read(UUID id, Concerned which, TaskVersion version, Optional<SheetVersion> on) {
        var setting = new RemarkInputs(library, sittings, vehicles, histories, which.centreId(), version, on);
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
        var rows = new RemarkRows(json, centre, id);
        for (int i = 0; i < batch.size(); i++) {
            rows.add(batch.get(i), marked.get(i));
        }
        transaction.executeWithoutResult(tx -> patiently(connection -> {
            rows.copy(connection);
            if (mapper.progress(centre, id, RemarkState.WORKING, batch.size(), rows.changed()) == 0) {
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

    // ---- applying it

    void apply(SignedIn me, UUID id) {
        worker.execute(() -> guarded(me.centreId(), id, RemarkState.APPLYING, () -> {
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
                if (mapper.progress(centre, id, RemarkState.APPLYING, APPLIED_AT_ONCE, 0) == 0) {
                    throw new JobStopped();
                }
            });
            after = upTo.get();
            upTo = mapper.upTo(centre, id, after, APPLIED_AT_ONCE);
        }
        if (mapper.to(centre, id, RemarkState.APPLYING, RemarkState.APPLIED) == 0) {
            throw new JobStopped();
        }
    }
}
