package app.galdrin.core.evaluate;

import app.galdrin.core.record.JsonLines;
import java.io.ByteArrayOutputStream;
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
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.exc.StreamWriteException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.json.JsonWriteFeature;
import tools.jackson.core.util.JsonRecyclerPools;

/**
 * Lines of JSON in, answers out, a line each, in order and in constant memory: lines are worked in batches, several at a time where
 * there are several processors, and no more batches are held than keep those busy.
 *
 * @param workers how many batches are worked at the same time, 1 or more
 * @param progress told after every batch
 */
public record LineStream(LineWriter writer, int workers, Progress progress) {

    /** Batches held for each worker, so that none waits while results are written. */
    private static final int BATCHES_A_WORKER = 2;

    private static final JsonFactory FACTORY = JsonFactory.builder()
            .enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER)
            .disable(StreamWriteFeature.AUTO_CLOSE_TARGET)
            .disable(StreamWriteFeature.FLUSH_PASSED_TO_STREAM)
            .recyclerPool(JsonRecyclerPools.threadLocalPool())
            .rootValueSeparator("")
            .build();

    /** Writes the rare lines with half a surrogate pair in a text, which JSON can carry escaped and UTF-8 cannot. */
    private static final JsonFactory ESCAPING =
            FACTORY.rebuild().enable(JsonWriteFeature.ESCAPE_NON_ASCII).build();

    /** Hears how far a stream has come. */
    public interface Progress {

        /** A listener that does nothing. */
        Progress NONE = (records, bytes) -> {};

        /** Reports how many records are answered and how many bytes of the input are read. */
        void reached(long records, long bytes);
    }

    /**
     * Works a whole stream.
     *
     * @return whether every line was answered without a fault
     * @throws IOException if the streams can't be read or written
     */
    public boolean run(InputStream in, OutputStream out) throws IOException {
        if (workers == 1) {
            return run(new LineReader(in), out, Runnable::run);
        }
        ExecutorService pool = Executors.newFixedThreadPool(workers, work -> {
            Thread thread = new Thread(work, "lines");
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
        var answers = new Answers(reader, out);
        for (Optional<LineBatch> next = reader.next(); next.isPresent(); next = reader.next()) {
            LineBatch batch = next.get();
            answers.pending.add(CompletableFuture.supplyAsync(() -> answer(batch), executor));
            answers.write(reader.mustWait() ? 0 : BATCHES_A_WORKER * workers);
        }
        answers.write(0);
        return answers.allComputed;
    }

    private ResultLines answer(LineBatch batch) {
        try {
            return answer(batch, FACTORY);
        } catch (StreamWriteException e) {
            return answer(batch, ESCAPING); // some text in it holds half a surrogate pair
        }
    }

    private ResultLines answer(LineBatch batch, JsonFactory factory) {
        var out = new ByteArrayOutputStream(2 * (batch.end() - batch.start()));
        boolean allComputed = true;
        int count = 0;
        try (JsonGenerator json = factory.createGenerator(ObjectWriteContext.empty(), out);
                JsonLines lines = batch.lines()) {
            if (batch.afterTooLong()) {
                lines.skip();
                allComputed = writer.write(json, Optional.empty());
                json.writeRaw('\n');
                count++;
            }
            while (lines.hasNext()) {
                allComputed &= writer.write(json, lines.next());
                json.writeRaw('\n');
                count++;
            }
        }
        return new ResultLines(out, count, allComputed);
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
