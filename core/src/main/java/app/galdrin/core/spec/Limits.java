package app.galdrin.core.spec;

import java.util.OptionalDouble;

/**
 * The limits of a quantity, in its unit.
 *
 * @param min least allowed value; at least one of min and max is present
 * @param preferred the value to set, within the limits
 * @param max greatest allowed value
 */
public record Limits(OptionalDouble min, OptionalDouble preferred, OptionalDouble max) {

    public Limits {
        if (min.isEmpty() && max.isEmpty()) {
            throw new IllegalArgumentException("limits: at least one of min and max is needed");
        }
        if (min.orElse(Double.NEGATIVE_INFINITY) > max.orElse(Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException(
                    "min " + min.getAsDouble() + " above max " + max.getAsDouble() + ": are they the wrong way round?");
        }
        if (preferred.isPresent()
                && (preferred.getAsDouble() < min.orElse(Double.NEGATIVE_INFINITY)
                        || preferred.getAsDouble() > max.orElse(Double.POSITIVE_INFINITY))) {
            throw new IllegalArgumentException("preferred " + preferred.getAsDouble() + " outside the limits");
        }
    }

    /** All three, in one unit, not falling. */
    public static Limits of(double min, double preferred, double max) {
        return new Limits(OptionalDouble.of(min), OptionalDouble.of(preferred), OptionalDouble.of(max));
    }

    /** The value to aim at, in the unit of the limits: preferred, else the middle of both limits, if there are two. */
    public OptionalDouble target() {
        if (preferred.isPresent() || min.isEmpty() || max.isEmpty()) {
            return preferred;
        }
        return OptionalDouble.of((min.getAsDouble() + max.getAsDouble()) / 2);
    }
}
