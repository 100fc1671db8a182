package app.galdrin.core.record;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.TreeMap;

/** The kinds of record there are: every class that is registered as a {@link RecordKind}. */
public final class RecordKinds {

    private static final Map<String, RecordKind> BY_NAME = load();

    private RecordKinds() {}

    private static Map<String, RecordKind> load() {
        Map<String, RecordKind> kinds = new TreeMap<>();
        ServiceLoader.load(RecordKind.class, RecordKind.class.getClassLoader())
                .forEach(kind -> kinds.put(kind.contract().name(), kind));
        return Map.copyOf(kinds);
    }

    /** Returns the kind of a name. */
    public static Optional<RecordKind> named(String name) {
        return Optional.ofNullable(BY_NAME.get(name));
    }

    /** All kinds by name. */
    public static List<RecordKind> all() {
        return BY_NAME.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(Map.Entry::getValue)
                .toList();
    }
}
