package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.evaluate.LineStream.Progress;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.function.Function;

/**
 * Records in, results out, a line each, in order and in constant memory.
 *
 * @param message words for a fault; called from several threads
 * @param explain whether each result comes with the steps of its working
 * @param workers how many batches of lines are worked at the same time, 1 or more
 * @param progress told after every batch
 */
public record RecordStream(Function<Fault, String> message, boolean explain, int workers, Progress progress) {

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
        return new LineStream(new ResultWriter(message, explain), workers, progress).run(in, out);
    }
}
