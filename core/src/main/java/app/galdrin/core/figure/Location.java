package app.galdrin.core.figure;

import app.galdrin.core.Keyed;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Location of a figure: the whole vehicle, an axle or a wheel. */
public enum Location implements Keyed {
    VEHICLE("", null, null),
    FRONT("front", Axle.FRONT, null),
    REAR("rear", Axle.REAR, null),
    FRONT_LEFT("front.left", Axle.FRONT, Side.LEFT),
    FRONT_RIGHT("front.right", Axle.FRONT, Side.RIGHT),
    REAR_LEFT("rear.left", Axle.REAR, Side.LEFT),
    REAR_RIGHT("rear.right", Axle.REAR, Side.RIGHT);

    /** Part of a vehicle that a measurand belongs to. */
    public enum Extent {
        VEHICLE,
        AXLE,
        WHEEL
    }

    private final String key;
    private final @Nullable Axle axle;
    private final @Nullable Side side;

    Location(String key, @Nullable Axle axle, @Nullable Side side) {
        this.key = key;
        this.axle = axle;
        this.side = side;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns the axle; empty for the vehicle. */
    public Optional<Axle> axle() {
        return Optional.ofNullable(axle);
    }

    /** Returns the side; empty for an axle and the vehicle. */
    public Optional<Side> side() {
        return Optional.ofNullable(side);
    }

    /** Returns the wheel; empty for an axle and the vehicle. */
    public Optional<Wheel> wheel() {
        return axle == null || side == null ? Optional.empty() : Optional.of(Wheel.of(axle, side));
    }

    public Extent extent() {
        if (axle == null) {
            return Extent.VEHICLE;
        }
        return side == null ? Extent.AXLE : Extent.WHEEL;
    }

    /** The same place on the other side; an axle and a vehicle are their own. */
    public Location otherSide() {
        return axle == null || side == null ? this : of(Wheel.of(axle, side.other()));
    }

    /** Returns the place of an axle. */
    public static Location of(Axle axle) {
        return axle == Axle.FRONT ? FRONT : REAR;
    }

    /** Returns the place of a wheel. */
    public static Location of(Wheel wheel) {
        return switch (wheel) {
            case FRONT_LEFT -> FRONT_LEFT;
            case FRONT_RIGHT -> FRONT_RIGHT;
            case REAR_LEFT -> REAR_LEFT;
            case REAR_RIGHT -> REAR_RIGHT;
        };
    }
}
