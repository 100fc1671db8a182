package app.galdrin.core.spec;

import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One line of a specification sheet.
 *
 * @param axle absent for a measurand of the vehicle
 * @param limits rad or mm; with one side, or absent where the sheet gives none
 * @param sideDifference greatest difference between left and right, rad or mm, positive
 */
public record SheetLine(
        Optional<Axle> axle,
        Measurand measurand,
        Optional<Limits> limits,
        OptionalDouble sideDifference,
        Adjustable adjustable) {}
