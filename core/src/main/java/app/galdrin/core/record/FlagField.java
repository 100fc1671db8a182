package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import org.jspecify.annotations.Nullable;

/** True or false. */
public record FlagField(String name, boolean required) implements Field {

    public static FlagField of(String name) {
        return new FlagField(name, true);
    }

    /** The same field, but it may be left out. */
    public FlagField optional() {
        return new FlagField(name, false);
    }

    @Override
    public Object legal(@Nullable Object value) {
        return value instanceof Boolean flag ? flag : Fault.at(FaultCode.MALFORMED, name);
    }
}
