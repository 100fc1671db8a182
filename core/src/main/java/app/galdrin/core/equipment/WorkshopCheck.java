package app.galdrin.core.equipment;

import app.galdrin.core.Keyed;
import app.galdrin.core.measure.Use;
import java.util.List;
import java.util.function.DoubleBinaryOperator;

/** Check of a piece of equipment that a workshop does by itself: two readings that tell what it shows too much, or what the rear one of a pair is larger. */
public enum WorkshopCheck implements Keyed {
    /** A level read, turned end for end and read again, each with the sign the level itself shows: x + e and −x + e. */
    TURNED("turned", (first, second) -> (first + second) / 2),
    /** A frame, a bar or a plate read, turned end for end on the same wheel and read again: x + e and x − e. */
    SWAPPED("swapped", (first, second) -> (first - second) / 2),
    /** A piece read on a standard of known size: what it shows, and what the standard is. */
    STANDARD("standard", (first, second) -> first - second),
    /** A pair read in the same way: the rear one, then the front one. */
    COMPARED("compared", (first, second) -> first - second);

    private final String key;
    private final DoubleBinaryOperator error;

    WorkshopCheck(String key, DoubleBinaryOperator error) {
        this.key = key;
        this.error = error;
    }

    @Override
    public String key() {
        return key;
    }

    /**
     * Returns what the piece shows too much, in the unit of the readings.
     *
     * @param first mm or deg
     * @param second mm or deg
     */
    public double error(double first, double second) {
        return error.applyAsDouble(first, second);
    }

    /** Returns the checks that can be done on a kind, the usual one first. */
    public static List<WorkshopCheck> of(EquipmentKind kind) {
        boolean levels = kind.reads()
                .filter(i -> i.uses().contains(Use.LEVEL) || i.uses().contains(Use.AXIS))
                .isPresent();
        if (kind.isPair()) {
            return List.of(COMPARED);
        }
        boolean laidOn = kind.reads().isEmpty();
        return levels ? List.of(TURNED, STANDARD) : laidOn ? List.of(SWAPPED, STANDARD) : List.of(STANDARD);
    }
}
