package app.galdrin.core.equipment;

import app.galdrin.core.Keyed;
import java.util.Optional;
import java.util.stream.Stream;

/** Length of a piece of equipment that readings taken with it are worked with. */
public enum ToolLength implements Keyed {
    /** Length between the two tape slots of a plate. */
    PLATE_SLOTS("plateSlots", "plates", 500, 200, 1200),
    /** Length between the two tape pins of a frame. */
    FRAME_PINS("framePins", "rigidFrames", 640, 200, 1500),
    /** Length between the two ends of a bar that are read. */
    BAR("barLength", "longBars", 1500, 500, 4000),
    /** Length that a wheel rolls over a plate. */
    SLIP_PLATE("slipPlateLength", "slipPlate", 1000, 200, 3000),
    /** Length over which the scale of a flag is read: from the sight of its gauge to the flag. */
    FLAG("flagLength", "flagScale", 500, 150, 2500);

    private final String key;
    private final String kind;
    private final double usual;
    private final double least;
    private final double most;

    ToolLength(String key, String kind, double usual, double least, double most) {
        this.key = key;
        this.kind = kind;
        this.usual = usual;
        this.least = least;
        this.most = most;
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns the length that is taken where nobody has measured the equipment, mm. */
    public double usual() {
        return usual;
    }

    /** Returns the shortest length that is real, mm. */
    public double least() {
        return least;
    }

    /** Returns the greatest length that is real, mm. */
    public double most() {
        return most;
    }

    /** Returns the key of the kind of equipment that has it. */
    public String kind() {
        return kind;
    }

    static Optional<ToolLength> ofKind(String kind) {
        return Stream.of(values()).filter(length -> length.kind.equals(kind)).findFirst();
    }

    static Stream<String> kinds() {
        return Stream.of(values()).map(length -> length.kind).distinct();
    }
}
