package app.galdrin.web.sketch.internal;

import app.galdrin.core.measure.ToeMethod;
import java.util.HashMap;
import java.util.Map;
import java.util.ServiceLoader;

/** The layout of each method. */
public final class Layouts {

    private static final Map<String, Layout> BY_METHOD = load();

    private Layouts() {}

    private static Map<String, Layout> load() {
        Map<String, Layout> layouts = new HashMap<>();
        ServiceLoader.load(Layout.class, Layout.class.getClassLoader())
                .forEach(layout -> layouts.put(layout.method(), layout));
        return Map.copyOf(layouts);
    }

    /**
     * The layout of a method.
     *
     * @throws IllegalStateException if nobody drew it
     */
    public static Layout of(ToeMethod method) {
        Layout layout = BY_METHOD.get(method.key());
        if (layout == null) {
            throw new IllegalStateException("no sketch is drawn for the method " + method.key());
        }
        return layout;
    }
}
