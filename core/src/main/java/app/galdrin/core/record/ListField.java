package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A list of objects of one shape. Elements are counted from 0 in paths. */
public record ListField(String name, Shape element, boolean required) implements Field {

    public static ListField of(String name, Field... fields) {
        return new ListField(name, Shape.of(fields), true);
    }

    @Override
    public Object legal(@Nullable Object value) {
        if (!(value instanceof List<?> list)) {
            return Fault.at(FaultCode.MALFORMED, name);
        }
        List<Input> elements = new ArrayList<>(list.size());
        for (int i = 0; i < list.size(); i++) {
            if (!(list.get(i) instanceof JsonObject object)) {
                return Fault.at(FaultCode.MALFORMED, name + "." + i);
            }
            Object inside = element.legal(object);
            if (inside instanceof Fault fault) {
                return fault.under(name + "." + i);
            }
            elements.add((Input) inside);
        }
        return elements;
    }
}
