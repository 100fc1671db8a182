package app.galdrin.core.evaluate;

import java.util.Arrays;

/** Some whole lines of a stream, without their ends. */
final class LineBatch {

    /** Stands for the length of a line that was too long to keep. */
    private static final int NOT_KEPT = -1;

    private byte[] bytes = {};
    private int[] starts = new int[256];
    private int[] lengths = new int[256];
    private int count;

    /** The bytes the lines stand in; they must not change any more. */
    void keep(byte[] these) {
        bytes = these;
    }

    void add(int start, int length) {
        if (count == starts.length) {
            starts = Arrays.copyOf(starts, 2 * count);
            lengths = Arrays.copyOf(lengths, 2 * count);
        }
        starts[count] = start;
        lengths[count++] = length;
    }

    void addTooLong() {
        add(0, NOT_KEPT);
    }

    int count() {
        return count;
    }

    RecordLine evaluate(int line) {
        return lengths[line] == NOT_KEPT
                ? RecordLine.broken()
                : RecordLine.evaluate(bytes, starts[line], lengths[line]);
    }
}
