package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;

/**
 * Records in, results out, a line each, in order and in constant memory: lines are worked in batches, several at a time where
 * there are several processors, and no more batches are held than keep those busy.
 *
 * @param message words for a fault; called from several threads
 * @param explain whether each result comes with the steps of its working
 * @param workers how many batches are worked at the same time, 1 or more
 * @param progress told after every batch
 */
public record RecordStream(Function<Fault, String> message, boolean explain, int workers, Progress progress) {

    /** Batches held for each worker, so that none waits while results are written. */
    private static final int BATCHES_A_WORKER = 2;

    /** Hears how far a stream has come. */
    public interface Progress {

        /** Nobody listens. */
        Progress NONE = (records, bytes) -> {};

        /** So many records are answered, and so many bytes of the input taken in. */
        void reached(long records, long bytes);
    }

    /** Results only, on as many workers as there are processors. */
    public static RecordStream of(Function<Fault, String> message) {
        return new RecordStream(message, false, Runtime.getRuntime().availableProcessors(), Progress.NONE);
    }

    /**
     * Works a whole stream.
     *
     * @return whether every record was computed
     * @throws IOException if the streams can't be read or written
     */
    public boolean run(InputStream in, OutputStream out) throws IOException {
        if (workers == 1) {
            return run(new LineReader(in), out, Runnable::run);
        }
        ExecutorService pool = Executors.newFixedThreadPool(workers, work -> {
            Thread thread = new Thread(work, "records");
            thread.setDaemon(true);
            return thread;
        });
        try {
            return run(new LineReader(in), out, pool);
        } finally {
            pool.shutdownNow();
        }
    }

    private boolean run(LineReader reader, OutputStream out, Executor executor) throws IOException {
        var writer = new ResultWriter(message, explain);
        var answers = new Answers(reader, out);
        for (Optional<LineBatch> next = reader.next(); next.isPresent(); next = reader.next()) {
            LineBatch batch = next.get();
            answers.pending.add(CompletableFuture.supplyAsync(() -> writer.write(batch), executor));
            answers.write(reader.mustWait() ? 0 : BATCHES_A_WORKER * workers);
        }
        answers.write(0);
        return answers.allComputed;
    }

    /** The answers that are under way, in the order of their records. */
    private final class Answers {
        private final Deque<CompletableFuture<ResultLines>> pending = new ArrayDeque<>();
        private final LineReader reader;
        private final OutputStream out;
        private boolean allComputed = true;
        private long records;

        Answers(LineReader reader, OutputStream out) {
            this.reader = reader;
            this.out = out;
        }

        /** Writes the oldest until no more than {@code left} are under way. */
        void write(int left) throws IOException {
            while (pending.size() > left) {
                ResultLines lines = pending.remove().join();
                lines.writeTo(out);
                allComputed &= lines.allComputed();
                records += lines.count();
                progress.reached(records, reader.bytesRead());
            }
            if (left == 0) {
                out.flush();
            }
        }
    }
}
