package app.galdrin.core.procedure;

/**
 * Type of a reading: names its words, its tool and its subject.
 *
 * @param key ends message keys, as {@code gaugeTurned} or {@code camber.out}
 * @param tool one name for all places of a procedure that are read with the same, as {@code gauge} or {@code camber}
 * @param subject what it tells
 * @param isFromPlumb whether the gauge shows 90 at plumb
 * @param position how the wheel is turned while it is read, as {@code out}; empty where it is not turned for it
 */
public record ReadingType(String key, String tool, Subject subject, boolean isFromPlumb, String position) {

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

    /** Returns a reading with a tool of its own name. */
    static ReadingType of(String key) {
        return new ReadingType(key, key, Subject.OTHER, false, "");
    }

    /** Returns the same reading, taken with the tool of that name. */
    public ReadingType with(String name) {
        return new ReadingType(key, name, subject, isFromPlumb, position);
    }

    /** Returns the same reading, telling a subject. */
    public ReadingType of(Subject other) {
        return new ReadingType(key, tool, other, isFromPlumb, position);
    }

    /** Returns the same reading, taken with a gauge that shows 90 at plumb. */
    public ReadingType fromPlumb() {
        return new ReadingType(key, tool, subject, true, position);
    }

    /** Returns the same reading, taken with the wheel turned so; its key says so too. */
    public ReadingType turned(String there) {
        return new ReadingType(key + "." + there, tool, subject, isFromPlumb, there);
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
