package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import java.util.Optional;
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
    public Optional<Fault> fault(@Nullable Object value) {
        return value instanceof Boolean ? Optional.empty() : Optional.of(Fault.at(FaultCode.MALFORMED, name));
    }
}
