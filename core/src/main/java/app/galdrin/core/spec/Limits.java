package app.galdrin.core.spec;

import java.util.OptionalDouble;

/**
 * The limits of a quantity, in its unit.
 *
 * @param min least allowed value, rad or mm; at least one of min and max is present
 * @param preferred the value to set, rad or mm, within the limits
 * @param max greatest allowed value, rad or mm
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

    /**
     * All three, in one unit, not falling.
     *
     * @param min rad or mm
     * @param preferred rad or mm, within the limits
     * @param max rad or mm
     */
    public static Limits of(double min, double preferred, double max) {
        return new Limits(OptionalDouble.of(min), OptionalDouble.of(preferred), OptionalDouble.of(max));
    }

    /**
     * Returns limits nearer to the preferred value: a share of the way from it to these.
     *
     * @param share share of the way from the preferred value to the limit, above 0 up to 1; of limits without a value to aim at nothing is
     *     nearer than they are
     */
    public Limits within(double share) {
        OptionalDouble aim = target();
        return aim.isEmpty()
                ? this
                : new Limits(nearer(min, aim.getAsDouble(), share), aim, nearer(max, aim.getAsDouble(), share));
    }

    private static OptionalDouble nearer(OptionalDouble limit, double aim, double share) {
        return limit.isEmpty() ? limit : OptionalDouble.of(aim + share * (limit.getAsDouble() - aim));
    }

    /** The value to aim at, in the unit of the limits: preferred, else the middle of both limits, if there are two. */
    public OptionalDouble target() {
        if (preferred.isPresent() || min.isEmpty() || max.isEmpty()) {
            return preferred;
        }
        return OptionalDouble.of((min.getAsDouble() + max.getAsDouble()) / 2);
    }
}
