package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;
import java.util.List;

/** The kinds of rows a sheet is written in, each with its cells. */
public enum RowKind implements Keyed {
    VEHICLE("vehicle", 1, Cell.MAKE, Cell.MODEL, Cell.BODY, Cell.REGISTRATION, Cell.DRIVEN, Cell.DRIVER),
    GEOMETRY(
            "geometry",
            1,
            Cell.WHEELBASE,
            Cell.FRONT_TRACK,
            Cell.REAR_TRACK,
            Cell.LINKAGE,
            Cell.ROD_PITCH,
            Cell.DOUBLE_THREAD,
            Cell.ARM_LENGTH,
            Cell.STEERING_RATIO,
            Cell.FRONT_SUSPENSION,
            Cell.REAR_SUSPENSION,
            Cell.RIDE_HEIGHT,
            Cell.LOAD),
    WHEELS("wheels", 2, Cell.AXLE, Cell.RIM, Cell.TYRE_RADIUS),
    FIGURE(
            "figures",
            60,
            Cell.FIGURE,
            Cell.AXLE,
            Cell.MIN,
            Cell.PREFERRED,
            Cell.MAX,
            Cell.TOLERANCE,
            Cell.OVER,
            Cell.OF,
            Cell.DIFFERENCE,
            Cell.INTENDED,
            Cell.ADJUSTABLE,
            Cell.INNER_ANGLE),
    PART("parts", 30, Cell.PART, Cell.WHERE, Cell.MOST, Cell.SMALLEST, Cell.FASTENER, Cell.REREAD, Cell.SPARE),
    EFFECT("effects", 120, Cell.PART, Cell.WHERE, Cell.FIGURE, Cell.AMOUNT, Cell.DOUBT),
    FASTENER(
            "fasteners",
            40,
            Cell.NAME,
            Cell.USE,
            Cell.THREAD,
            Cell.LEAST,
            Cell.MOST,
            Cell.ANGLE,
            Cell.SINGLE_USE,
            Cell.CHECKED);

    private final String key;
    private final int most;
    private final List<Cell> cells;

    RowKind(String key, int most, Cell... cells) {
        this.key = key;
        this.most = most;
        this.cells = List.of(cells);
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns how many of them a sheet can have; of one there is exactly one. */
    public int most() {
        return most;
    }

    public boolean single() {
        return most == 1;
    }

    /** Returns the cells in the order in which they are written. */
    public List<Cell> cells() {
        return cells;
    }
}
