package app.galdrin.core.spec;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One line of a specification sheet.
 *
 * @param limits rad
 * @param sideDifference greatest difference between left and right, rad, positive
 * @param adjustableBy the part it is adjusted with, by key; empty where the vehicle has no adjustment, so that out of
 *     specification means damage or wear
 */
public record QuantityLimits(
        Axle axle,
        SheetQuantity quantity,
        Limits limits,
        OptionalDouble sideDifference,
        Optional<String> adjustableBy) {}
