package app.galdrin.core.evaluate;

import app.galdrin.core.record.JsonLines;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.Optional;

/**
 * Cuts a stream into batches of whole lines. Of a line of more than {@link JsonLines#LONGEST_LINE} bytes only the tail is kept, so
 * that memory does not grow with it. A byte order mark before the first line is not part of it.
 */
final class LineReader {

    /** Enough bytes to be worth handing over. */
    private static final int ENOUGH = 1 << 17;

    /** A byte order mark and a line end may stand beyond the limit without being part of the line. */
    private static final int LONGEST_KEPT = JsonLines.LONGEST_LINE + 5;

    private final InputStream in;
    private byte[] buffer = new byte[ENOUGH];
    private int filled;
    private boolean ended;
    private boolean first = true;
    /** Inside a line that is too long: what was read of it is dropped. */
    private boolean dropping;

    private long bytesRead;

    LineReader(InputStream in) {
        this.in = in;
    }

    /** Returns how much of the stream has been taken in, bytes. */
    long bytesRead() {
        return bytesRead;
    }

    /** Returns whether nothing more can be had at once: someone may be typing records and waiting for each answer. */
    boolean mustWait() throws IOException {
        return !ended && in.available() == 0;
    }

    /** The next lines, at least one; empty when the stream has ended. */
    Optional<LineBatch> next() throws IOException {
        int whole = 0;
        while (!ended && (whole == 0 || (filled < ENOUGH && in.available() > 0))) {
            int before = filled;
            read();
            int end = behindLastLine(before);
            if (end > 0) {
                whole = end;
            } else if (whole == 0 && (dropping || filled > LONGEST_KEPT)) {
                dropping = true;
                filled = 0;
            }
        }
        // what follows the last line end is a line too, if there is something in it
        return handOver(ended ? filled : whole);
    }

    private void read() throws IOException {
        if (filled == buffer.length) {
            buffer = Arrays.copyOf(buffer, 2 * filled);
        }
        int read = in.read(buffer, filled, buffer.length - filled);
        ended = read < 0;
        filled += Math.max(read, 0);
        bytesRead += Math.max(read, 0);
    }

    /** Returns the position behind the last line that ends at {@code from} or later; 0 if there is none. */
    private int behindLastLine(int from) {
        int end = filled;
        while (end > from && buffer[end - 1] != '\n') {
            end--;
        }
        return end > from ? end : 0;
    }

    /** Gives the bytes up to {@code end} away; what lies behind them stays for the next batch. */
    private Optional<LineBatch> handOver(int end) {
        int start = markLength(end);
        if (end == start && !dropping) {
            return Optional.empty();
        }
        var batch = new LineBatch(buffer, start, end, dropping);
        byte[] rest = new byte[Math.max(ENOUGH, filled - end)];
        System.arraycopy(buffer, end, rest, 0, filled - end);
        buffer = rest;
        filled -= end;
        dropping = false;
        return Optional.of(batch);
    }

    private int markLength(int end) {
        boolean mark = first
                && !dropping
                && end >= 3
                && buffer[0] == (byte) 0xEF
                && buffer[1] == (byte) 0xBB
                && buffer[2] == (byte) 0xBF;
        first = false;
        return mark ? 3 : 0;
    }
}
