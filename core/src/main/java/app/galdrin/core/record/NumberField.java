package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import org.jspecify.annotations.Nullable;

/**
 * A number.
 *
 * @param range in the record's unit
 * @param carriesDoubt in a result: whether a standard uncertainty comes with it where {@code u} is given
 */
public record NumberField(String name, FieldUnit unit, Range range, boolean required, boolean carriesDoubt)
        implements Field {

    public static NumberField of(String name, FieldUnit unit, Range range) {
        return new NumberField(name, unit, range, true, false);
    }

    /** Makes a field for a length, mm. */
    public static NumberField length(String name, Range range) {
        return of(name, FieldUnit.LENGTH, range);
    }

    /** Makes a field for an angle, deg in records. */
    public static NumberField angle(String name, Range range) {
        return of(name, FieldUnit.ANGLE, range);
    }

    /** Makes a field for a number without unit. */
    public static NumberField number(String name, Range range) {
        return of(name, FieldUnit.NUMBER, range);
    }

    /** The same field, but it may be left out. */
    public NumberField optional() {
        return new NumberField(name, unit, range, false, carriesDoubt);
    }

    /** The same figure, with a standard uncertainty. */
    public NumberField withDoubt() {
        return new NumberField(name, unit, range, required, true);
    }

    @Override
    public Object legal(@Nullable Object value) {
        if (!(value instanceof Double number) || !Double.isFinite(number)) {
            return Fault.at(FaultCode.NOT_A_NUMBER, name);
        }
        return range.contains(number) ? number : Fault.at(FaultCode.OUT_OF_RANGE, name);
    }
}
