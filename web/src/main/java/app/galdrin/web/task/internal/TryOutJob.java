package app.galdrin.web.task.internal;

import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.task.Assignment;
import app.galdrin.web.background.Background;
import app.galdrin.web.library.Library;
import jakarta.annotation.PreDestroy;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;

/** SittingMarks through the try-outs of a centre, one after another; how far each is stands in the database. */
@Component
class TryOutJob {

    private static final Logger LOG = LoggerFactory.getLogger(TryOutJob.class);

    /** The number of sheets of each person in one portion. */
    private static final int AT_ONCE = 10;

    private static final long SEED = 20;

    private final TryOutMapper mapper;
    private final Library library;
    private final Background background;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        var thread = new Thread(work, "try-out");
        thread.setDaemon(true);
        return thread;
    });

    TryOutJob(TryOutMapper mapper, Library library, Background background) {
        this.mapper = mapper;
        this.library = library;
        this.background = background;
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    static int people() {
        return TryOut.Kind.values().length;
    }

    /** Looks whether something of the centre waits and works through it. */
    void wake(UUID centreId) {
        worker.execute(() -> {
            for (Optional<UUID> next = take(centreId); next.isPresent(); next = take(centreId)) {
                work(centreId, next.get());
            }
        });
    }

    private Optional<UUID> take(UUID centreId) {
        try {
            return Optional.ofNullable(mapper.take(centreId));
        } catch (DuplicateKeyException e) {
            return Optional.empty(); // another server has taken one in this moment and goes on with the rest
        }
    }

    private void work(UUID centreId, UUID id) {
        try {
            TryOutRow tried = mapper.tryOut(centreId, id).orElseThrow();
            var sheet = library.sheet(centreId, tried.sheetId()).sheet();
            var run = new TryOut.Run(Assignment.of(tried.practical(), sheet), tried.total() / people(), SEED);
            while (run.done() < run.total()) {
                background.portion(() -> {
                    run.goOn(AT_ONCE);
                    return run.done();
                });
                if (mapper.progress(centreId, id, run.done()) == 0) {
                    return;
                }
            }
            mapper.end(centreId, id, TryOutState.READY, TryOutResult.write(run.tried()));
        } catch (RuntimeException e) {
            LOG.error("try-out {} of centre {} came to nothing", id, centreId, e);
            mapper.end(centreId, id, TryOutState.FAILED, null);
        }
    }
}
