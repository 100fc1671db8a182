package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.JsonText;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.function.Function;

/**
 * Records in, results out, a line each, in order and in constant memory: one line of at most
 * {@link JsonText#LONGEST_LINE} bytes is held at a time, longer ones are read past and answered with an error.
 */
public final class RecordStream {

    private static final int CHUNK = 1 << 16;

    private final InputStream in;
    private final ResultWriter out;
    private final byte[] chunk = new byte[CHUNK];
    private byte[] line = new byte[CHUNK];
    private int length;
    private boolean tooLong;
    private boolean firstLine = true;
    private boolean allComputed = true;

    private RecordStream(InputStream in, ResultWriter out) {
        this.in = in;
        this.out = out;
    }

    /**
     * Works a whole stream.
     *
     * @param message words for a fault
     * @return whether every record was computed
     * @throws IOException if the streams can't be read or written
     */
    public static boolean run(InputStream in, OutputStream out, Function<Fault, String> message) throws IOException {
        var writer = new ResultWriter(out, message);
        var stream = new RecordStream(in, writer);
        stream.run();
        writer.flush();
        return stream.allComputed;
    }

    private void run() throws IOException {
        for (int read = in.read(chunk); read >= 0; read = in.read(chunk)) {
            int from = 0;
            for (int i = 0; i < read; i++) {
                if (chunk[i] == '\n') {
                    keep(from, i);
                    finishLine();
                    from = i + 1;
                }
            }
            keep(from, read);
            if (in.available() == 0) {
                out.flush(); // someone may be typing records and waiting for each answer
            }
        }
        dropMark();
        if (length > 0 || tooLong) {
            finishLine();
        }
    }

    private void keep(int from, int to) {
        int count = to - from;
        // a carriage return and a byte order mark may stand beyond the limit without being part of the line
        if (tooLong || length + count > JsonText.LONGEST_LINE + 4) {
            tooLong = true;
            return;
        }
        if (length + count > line.length) {
            byte[] larger = new byte[Math.max(length + count, 2 * line.length)];
            System.arraycopy(line, 0, larger, 0, length);
            line = larger;
        }
        System.arraycopy(chunk, from, line, length, count);
        length += count;
    }

    private void finishLine() throws IOException {
        dropMark();
        if (length > 0 && line[length - 1] == '\r') {
            length--;
        }
        RecordLine result = tooLong ? RecordLine.broken() : RecordLine.evaluate(line, 0, length);
        allComputed &= result.outcome() instanceof Outcome.Value;
        out.write(result);
        length = 0;
        tooLong = false;
    }

    /** A byte order mark before the first line is not part of it. */
    private void dropMark() {
        if (!firstLine) {
            return;
        }
        firstLine = false;
        if (length >= 3 && line[0] == (byte) 0xEF && line[1] == (byte) 0xBB && line[2] == (byte) 0xBF) {
            length -= 3;
            System.arraycopy(line, 3, line, 0, length);
        }
    }
}
