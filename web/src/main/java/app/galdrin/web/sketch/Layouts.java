package app.galdrin.web.sketch;

import app.galdrin.core.procedure.Procedure;
import java.util.HashMap;
import java.util.Map;
import java.util.ServiceLoader;

/** The layout of each procedure. */
final class Layouts {

    private static final Map<String, Layout> BY_PROCEDURE = load();

    private Layouts() {}

    private static Map<String, Layout> load() {
        Map<String, Layout> layouts = new HashMap<>();
        ServiceLoader.load(Layout.class, Layout.class.getClassLoader())
                .forEach(layout -> layout.procedures().forEach(key -> layouts.put(key, layout)));
        return Map.copyOf(layouts);
    }

    /**
     * The layout of a procedure.
     *
     * @throws IllegalStateException if nobody drew it
     */
    static Layout of(Procedure procedure) {
        Layout layout = BY_PROCEDURE.get(procedure.key());
        if (layout == null) {
            throw new IllegalStateException("no sketch is drawn for " + procedure.key());
        }
        return layout;
    }
}
