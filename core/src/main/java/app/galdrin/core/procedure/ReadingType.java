package app.galdrin.core.procedure;

/**
 * Type of a reading: names its words, its tool and its subject.
 *
 * @param key ends message keys, as {@code gaugeTurned} or {@code camber.out}
 * @param tool one name for all places of a procedure that are read with the same, as {@code gauge} or {@code camber}
 * @param subject what it tells
 * @param isFromPlumb whether the gauge shows 90 at plumb
 * @param zero what the zero error of the tool does to it
 * @param position how the wheel is turned while it is read, as {@code out}; empty where it is not turned for it
 */
public record ReadingType(String key, String tool, Subject subject, boolean isFromPlumb, Zero zero, String position) {

    /** Subject of a reading. */
    public enum Subject {
        /** Lean of a wheel. */
        WHEEL_LEAN,
        /** Slope of the floor. */
        FLOOR_SLOPE,
        /** Slope of the frame or the axle that other angles are told from. */
        FRAME_SLOPE,
        OTHER
    }

    /** Zero error of a tool in a reading. */
    public enum Zero {
        /** The tool is held as usual, the same side towards the wheel: the reading has the error. */
        AS_HELD(1),
        /** The tool is turned end for end: the reading has the error the other way. */
        TURNED(-1),
        /** The tool was zeroed for it: the reading has none. */
        SET(0);

        private final int factor;

        Zero(int factor) {
            this.factor = factor;
        }

        /** Returns 1, −1 or 0. */
        int factor() {
            return factor;
        }
    }

    /** Returns a reading with a tool of its own name. */
    static ReadingType of(String key) {
        return new ReadingType(key, key, Subject.OTHER, false, Zero.AS_HELD, "");
    }

    /** Returns the same reading, taken with the tool of that name. */
    public ReadingType with(String name) {
        return new ReadingType(key, name, subject, isFromPlumb, zero, position);
    }

    /** Returns the same reading, telling a subject. */
    public ReadingType of(Subject other) {
        return new ReadingType(key, tool, other, isFromPlumb, zero, position);
    }

    /** Returns the same reading, taken with a gauge that shows 90 at plumb. */
    public ReadingType fromPlumb() {
        return new ReadingType(key, tool, subject, true, zero, position);
    }

    /** Returns the same reading, the zero error of its tool in it so. */
    public ReadingType with(Zero other) {
        return new ReadingType(key, tool, subject, isFromPlumb, other, position);
    }

    /** Returns the same reading, taken with the wheel turned so; its key says so too. */
    public ReadingType turned(String there) {
        return new ReadingType(key + "." + there, tool, subject, isFromPlumb, zero, there);
    }

    /** Returns whether the wheel is turned for it, as in a sweep. */
    public boolean isTurned() {
        return !position.isEmpty();
    }

    /** Returns whether it has this key. */
    public boolean is(String other) {
        return key.equals(other);
    }
}
