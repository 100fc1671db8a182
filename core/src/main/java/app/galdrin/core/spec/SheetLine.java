package app.galdrin.core.spec;

import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;

/**
 * One line of a specification sheet.
 *
 * @param axle absent for a measurand of the vehicle
 * @param limits rad or mm; with one side, or absent where the sheet gives none
 * @param sideDifference between left and right, rad or mm
 * @param typed what it was written as, by the name of the cell, so that it is shown as the maker prints it; empty where it was
 *     not written by hand
 */
public record SheetLine(
        Optional<Axle> axle,
        Measurand measurand,
        Optional<Limits> limits,
        Optional<SideDifference> sideDifference,
        Adjustable adjustable,
        Map<String, String> typed) {

    /** The front axle, the rear one, the vehicle; on each in the order of the trade. */
    static final Comparator<SheetLine> ORDER = Comparator.<SheetLine>comparingInt(
                    l -> l.axle().map(Axle::ordinal).orElse(Axle.values().length))
            .thenComparing(SheetLine::measurand);

    public SheetLine {
        typed = Map.copyOf(typed);
    }

    /** One that nobody typed. */
    public SheetLine(
            Optional<Axle> axle,
            Measurand measurand,
            Optional<Limits> limits,
            Optional<SideDifference> sideDifference,
            Adjustable adjustable) {
        this(axle, measurand, limits, sideDifference, adjustable, Map.of());
    }
}
