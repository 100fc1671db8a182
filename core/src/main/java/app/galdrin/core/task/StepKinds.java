package app.galdrin.core.task;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/** All kinds of step. */
public final class StepKinds {

    private static final Map<String, StepKind> BY_KEY = new TreeMap<>();

    static {
        ServiceLoader.load(StepKind.class, StepKind.class.getClassLoader())
                .forEach(kind -> BY_KEY.put(kind.key(), kind));
    }

    private StepKinds() {}

    /** Returns all kinds by their keys. */
    public static List<StepKind> all() {
        return List.copyOf(BY_KEY.values());
    }

    /** Returns the kind of a name. */
    public static Optional<StepKind> named(String key) {
        return Optional.ofNullable(BY_KEY.get(key));
    }

    /**
     * Returns what every kind has one of, by the keys of the kinds.
     *
     * @param what names the parts in what is thrown
     * @param kind returns the kind that a part belongs to
     * @throws IllegalStateException where a kind has none or several, or a part is of no kind
     */
    public static <T> Map<String, T> oneEach(String what, Collection<T> parts, Function<T, String> kind) {
        Map<String, T> found = new TreeMap<>();
        Set<String> wrong = new HashSet<>();
        for (T part : parts) {
            if (found.put(kind.apply(part), part) != null) {
                wrong.add(kind.apply(part) + " twice");
            }
        }
        all().stream()
                .map(StepKind::key)
                .filter(key -> !found.containsKey(key))
                .forEach(key -> wrong.add(key + " none"));
        found.keySet().stream().filter(key -> named(key).isEmpty()).forEach(key -> wrong.add(key + " is no kind"));
        if (!wrong.isEmpty()) {
            throw new IllegalStateException(what + " of kinds of step: " + String.join(", ", wrong));
        }
        return found;
    }
}
