package app.galdrin.core.evaluate;

import app.galdrin.core.record.JsonText;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.Optional;

/**
 * Cuts a stream into lines, some at a time. A line of more than {@link JsonText#LONGEST_LINE} bytes is read past without being
 * kept, so that memory does not grow with it. A byte order mark before the first line and a carriage return before a line end
 * are not part of a line.
 */
final class LineReader {

    /** Enough lines to be worth handing over. */
    private static final int ENOUGH = 1 << 17;

    /** A carriage return and a byte order mark may stand beyond the limit without being part of the line. */
    private static final int LONGEST_KEPT = JsonText.LONGEST_LINE + 4;

    private final InputStream in;
    private byte[] buffer = new byte[ENOUGH];
    private int filled;
    private boolean ended;
    private boolean first = true;
    /** Inside a line that is too long: its bytes are dropped up to its end. */
    private boolean dropping;

    private long bytesRead;

    LineReader(InputStream in) {
        this.in = in;
    }

    /** How much of the stream has been taken in, bytes. */
    long bytesRead() {
        return bytesRead;
    }

    /** Whether nothing more can be had at once: someone may be typing records and waiting for each answer. */
    boolean mustWait() throws IOException {
        return !ended && in.available() == 0;
    }

    /** The next lines, at least one; empty when the stream has ended. */
    Optional<LineBatch> next() throws IOException {
        var batch = new LineBatch();
        int start = 0;
        int searched = 0;
        while (!ended && !(batch.count() > 0 && (filled >= ENOUGH || in.available() == 0))) {
            makeRoom();
            int read = in.read(buffer, filled, buffer.length - filled);
            ended = read < 0;
            filled += Math.max(read, 0);
            bytesRead += Math.max(read, 0);
            start = cut(batch, start, searched);
            searched = filled;
            if (batch.count() == 0 && (dropping || filled > LONGEST_KEPT)) {
                dropping = true;
                filled = 0;
                searched = 0;
            }
        }
        if (ended) {
            addLast(batch, start);
            start = filled;
        }
        return batch.count() > 0 ? Optional.of(handOver(batch, start)) : Optional.empty();
    }

    private void makeRoom() {
        if (filled == buffer.length) {
            buffer = Arrays.copyOf(buffer, 2 * filled);
        }
    }

    /** Adds the lines that end at {@code searched} or later; returns where the rest begins. */
    private int cut(LineBatch batch, int start, int searched) {
        byte[] bytes = buffer;
        int from = start;
        for (int i = searched; i < filled; i++) {
            if (bytes[i] == '\n') {
                add(batch, from, i);
                from = i + 1;
            }
        }
        return from;
    }

    /** What follows the last line end is a line only if there is something in it. */
    private void addLast(LineBatch batch, int start) {
        int from = start + markLength(start, filled);
        if (dropping || filled > from) {
            add(batch, from, filled);
        }
    }

    /** Gives the batch its bytes; what lies behind its lines stays for the next one. */
    private LineBatch handOver(LineBatch batch, int end) {
        batch.keep(buffer);
        byte[] rest = new byte[Math.max(ENOUGH, filled - end)];
        System.arraycopy(buffer, end, rest, 0, filled - end);
        buffer = rest;
        filled -= end;
        return batch;
    }

    private void add(LineBatch batch, int start, int end) {
        int from = start + markLength(start, end);
        int to = end > from && buffer[end - 1] == '\r' ? end - 1 : end;
        if (dropping) {
            dropping = false;
            batch.addTooLong();
        } else {
            batch.add(from, to - from);
        }
    }

    private int markLength(int start, int end) {
        boolean mark = first
                && end - start >= 3
                && buffer[start] == (byte) 0xEF
                && buffer[start + 1] == (byte) 0xBB
                && buffer[start + 2] == (byte) 0xBF;
        first = false;
        return mark ? 3 : 0;
    }
}
