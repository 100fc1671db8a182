package app.galdrin.core.geometry;

import app.galdrin.core.Keyed;

/** The four wheels, in the order in which records name them. */
public enum Wheel implements Keyed {
    FRONT_LEFT("fl", Axle.FRONT, Side.LEFT),
    FRONT_RIGHT("fr", Axle.FRONT, Side.RIGHT),
    REAR_LEFT("rl", Axle.REAR, Side.LEFT),
    REAR_RIGHT("rr", Axle.REAR, Side.RIGHT);

    private final String key;
    private final Axle axle;
    private final Side side;

    Wheel(String key, Axle axle, Side side) {
        this.key = key;
        this.axle = axle;
        this.side = side;
    }

    /** The name in records, places and message keys. */
    @Override
    public String key() {
        return key;
    }

    public Axle axle() {
        return axle;
    }

    public Side side() {
        return side;
    }

    /** Returns whether it is a front wheel. */
    public boolean front() {
        return axle == Axle.FRONT;
    }

    /** Returns whether it is a left wheel. */
    public boolean left() {
        return side == Side.LEFT;
    }

    /** The wheel at the other end of the same axle. */
    public Wheel opposite() {
        return of(axle, side.other());
    }

    /** Returns the wheel of an axle on a side. */
    public static Wheel of(Axle axle, Side side) {
        if (axle == Axle.FRONT) {
            return side == Side.LEFT ? FRONT_LEFT : FRONT_RIGHT;
        }
        return side == Side.LEFT ? REAR_LEFT : REAR_RIGHT;
    }
}
