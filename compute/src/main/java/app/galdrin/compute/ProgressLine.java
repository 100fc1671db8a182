package app.galdrin.compute;

import app.galdrin.core.evaluate.LineStream.Progress;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/** One line on a terminal that says how far the records are, written over again and taken away at the end. */
final class ProgressLine implements Progress, AutoCloseable {

    private static final long EVERY_NANOS = 300_000_000;
    private static final int MEBIBYTE = 1 << 20;
    private static final String ERASE_LINE = "\r\u001b[K";

    private final boolean shown;
    private final long size;
    private final long started = System.nanoTime();
    private long last = started;

    private ProgressLine(boolean shown, long size) {
        this.shown = shown;
        this.size = size;
    }

    /** {@code file} is absent where records come from standard input, whose length nobody knows. */
    static ProgressLine start(boolean shown, @Nullable Path file) throws IOException {
        return new ProgressLine(shown, file == null ? 0 : Files.size(file));
    }

    @Override
    public void reached(long records, long bytes) {
        long now = System.nanoTime();
        if (now - last < EVERY_NANOS) {
            return;
        }
        last = now;
        long perSecond = Math.round(records / ((now - started) / 1e9));
        String key = size > 0 ? "progress.ofFile" : "progress";
        System.err.print(
                ERASE_LINE + Words.of(key, records, bytes / MEBIBYTE, perSecond, size > 0 ? 100 * bytes / size : 0));
        System.err.flush();
    }

    @Override
    public void close() {
        if (shown && last != started) {
            System.err.print(ERASE_LINE);
            System.err.flush();
        }
    }
}
