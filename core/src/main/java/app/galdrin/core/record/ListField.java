package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A list of objects of one shape. Elements are counted from 0 in paths. */
public record ListField(String name, Shape element, boolean required) implements Field {

    public static ListField of(String name, Field... fields) {
        return new ListField(name, Shape.of(fields), true);
    }

    @Override
    public Optional<Fault> fault(@Nullable Object value) {
        if (!(value instanceof List<?> list)) {
            return Optional.of(Fault.at(FaultCode.MALFORMED, name));
        }
        for (int i = 0; i < list.size(); i++) {
            Optional<Fault> fault = list.get(i) instanceof JsonObject object
                    ? element.fault(object)
                    : Optional.of(new Fault(FaultCode.MALFORMED, Optional.empty()));
            if (fault.isPresent()) {
                return Optional.of(at(i, fault.get()));
            }
        }
        return Optional.empty();
    }

    private Fault at(int index, Fault inside) {
        String here = name + "." + index;
        return inside.field().isPresent() ? inside.under(here) : Fault.at(inside.code(), here);
    }
}
