package app.galdrin.core.spec;

import app.galdrin.core.figure.FigurePosition;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * One line of a specification sheet.
 *
 * @param axle absent for a measurand of the vehicle
 * @param limits rad or mm; with one side, or absent where the sheet gives none
 * @param sideDifference between left and right, rad or mm
 * @param innerAngle of the turn-out, how far the inner wheel is turned, whole degrees; empty where it is given at the locks, and of every other
 *     figure
 * @param preferredAlone what is printed without a tolerance, rad or mm: shown and worked with, never judged by; empty where there are limits
 * @param typed what it was written as, by the name of the cell, so that it is shown as the maker prints it; empty where it was
 *     not written by hand
 */
public record SheetLine(
        Optional<Axle> axle,
        Measurand measurand,
        Optional<Limits> limits,
        Optional<SideDifference> sideDifference,
        Adjustable adjustable,
        OptionalInt innerAngle,
        OptionalDouble preferredAlone,
        Map<String, String> typed) {

    /** The front axle, the rear one, the vehicle; on each in the order of the trade. */
    static final Comparator<SheetLine> ORDER = Comparator.<SheetLine>comparingInt(
                    l -> l.axle().map(Axle::ordinal).orElse(Axle.values().length))
            .thenComparing(SheetLine::measurand);

    public SheetLine {
        typed = Map.copyOf(typed);
    }

    /** One without an angle that it is given at. */
    public SheetLine(
            Optional<Axle> axle,
            Measurand measurand,
            Optional<Limits> limits,
            Optional<SideDifference> sideDifference,
            Adjustable adjustable,
            Map<String, String> typed) {
        this(axle, measurand, limits, sideDifference, adjustable, OptionalInt.empty(), OptionalDouble.empty(), typed);
    }

    /** Returns whether its limits are of a figure in this position. */
    boolean isGivenAt(FigurePosition at) {
        if (measurand != Measurand.TURN_OUT) {
            return at.equals(FigurePosition.AHEAD);
        }
        boolean lock = at.kind() == FigurePosition.Kind.LEFT_LOCK || at.kind() == FigurePosition.Kind.RIGHT_LOCK;
        boolean steered =
                at.kind() == FigurePosition.Kind.STEERED_LEFT || at.kind() == FigurePosition.Kind.STEERED_RIGHT;
        return innerAngle.isPresent() ? steered && at.amount() == innerAngle.getAsInt() : lock;
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
