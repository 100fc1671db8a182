package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import org.jspecify.annotations.Nullable;

/** Any text. */
public record TextField(String name, boolean required) implements Field {

    public static TextField of(String name) {
        return new TextField(name, true);
    }

    /** The same field, but it may be left out. */
    public TextField optional() {
        return new TextField(name, false);
    }

    @Override
    public Object legal(@Nullable Object value) {
        return value instanceof String text ? text : Fault.at(FaultCode.MALFORMED, name);
    }
}
