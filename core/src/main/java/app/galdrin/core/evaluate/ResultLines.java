package app.galdrin.core.evaluate;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;

/**
 * The result lines of a batch.
 *
 * @param bytes the lines with their ends
 * @param allComputed whether every record was computed
 */
record ResultLines(ByteArrayOutputStream bytes, int count, boolean allComputed) {

    void writeTo(OutputStream out) throws IOException {
        bytes.writeTo(out);
    }
}
