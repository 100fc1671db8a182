package app.galdrin.core.measure;

/** The four wheels, in the order in which records name them. */
public enum Wheel {
    FRONT_LEFT("fl", true, true),
    FRONT_RIGHT("fr", true, false),
    REAR_LEFT("rl", false, true),
    REAR_RIGHT("rr", false, false);

    private final String key;
    private final boolean front;
    private final boolean left;

    Wheel(String key, boolean front, boolean left) {
        this.key = key;
        this.front = front;
        this.left = left;
    }

    /** The name in records, places and message keys. */
    public String key() {
        return key;
    }

    public boolean front() {
        return front;
    }

    public boolean left() {
        return left;
    }

    /** The wheel at the other end of the same axle. */
    public Wheel opposite() {
        return switch (this) {
            case FRONT_LEFT -> FRONT_RIGHT;
            case FRONT_RIGHT -> FRONT_LEFT;
            case REAR_LEFT -> REAR_RIGHT;
            case REAR_RIGHT -> REAR_LEFT;
        };
    }
}
