package app.galdrin.core.evaluate;

import app.galdrin.core.record.JsonLines;

/**
 * Some whole lines of a stream.
 *
 * @param bytes hold the lines from {@code start} (inclusive) to {@code end} (exclusive); they do not change any more
 * @param afterTooLong whether the first line is but the tail of one that was too long to keep
 */
record LineBatch(byte[] bytes, int start, int end, boolean afterTooLong) {

    JsonLines lines() {
        return new JsonLines(bytes, start, end);
    }
}
