package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import org.jspecify.annotations.Nullable;

/** An object with fields of its own. */
public record GroupField(String name, Shape shape, boolean required) implements Field {

    /** The name of the group of standard uncertainties. */
    static final String U = "u";

    public static GroupField of(String name, Field... fields) {
        return new GroupField(name, Shape.of(fields), true);
    }

    /** The standard uncertainties of these reading classes: the last field of a kind that has it. */
    static GroupField uncertainties(NumberField... classes) {
        return new GroupField(U, Shape.of(classes), false);
    }

    /** The same field, but it may be left out. */
    public GroupField optional() {
        return new GroupField(name, shape, false);
    }

    @Override
    public Object legal(@Nullable Object value) {
        if (!(value instanceof JsonObject object)) {
            return Fault.at(FaultCode.MALFORMED, name);
        }
        Object inside = shape.legal(object);
        return inside instanceof Fault fault ? fault.under(name) : inside;
    }
}
