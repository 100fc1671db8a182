package app.galdrin.core.record;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;

/** The figures of a result in the order they are written. Angles come in as radians and are kept as degrees. */
public final class Figures {

    private final Map<String, Object> byName = new LinkedHashMap<>();

    public Figures number(String name, double value) {
        byName.put(name, value);
        return this;
    }

    public Figures angle(String name, double radians) {
        return number(name, Math.toDegrees(radians));
    }

    public Figures text(String name, String value) {
        byName.put(name, value);
        return this;
    }

    public Figures flag(String name, boolean value) {
        byName.put(name, value);
        return this;
    }

    public Figures object(String name, Figures inner) {
        byName.put(name, inner.asMap());
        return this;
    }

    /** Adds {@code u} if the record asked for it. */
    public Figures uncertainties(Uncertainties asked, Consumer<Figures> fill) {
        if (asked.given()) {
            var u = new Figures();
            fill.accept(u);
            object("u", u);
        }
        return this;
    }

    /** Name to number, text, true or false, or map. */
    public Map<String, Object> asMap() {
        return Collections.unmodifiableMap(byName);
    }
}
