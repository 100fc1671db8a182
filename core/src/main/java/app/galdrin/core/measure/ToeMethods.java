package app.galdrin.core.measure;

import app.galdrin.core.record.RecordKinds;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The ways of measuring toe that a task can set: every kind of record that is a {@link ToeMethod}. */
public final class ToeMethods {

    private static final List<ToeMethod> ALL = RecordKinds.all().stream()
            .filter(ToeMethod.class::isInstance)
            .map(ToeMethod.class::cast)
            .sorted(Comparator.comparing(ToeMethod::key))
            .toList();

    private ToeMethods() {}

    /** By key. */
    public static List<ToeMethod> all() {
        return ALL;
    }

    public static Optional<ToeMethod> named(String key) {
        return ALL.stream().filter(method -> method.key().equals(key)).findFirst();
    }

    /**
     * One that the code itself speaks of.
     *
     * @throws java.util.NoSuchElementException if there is none of this name
     */
    public static ToeMethod of(String key) {
        return named(key).orElseThrow();
    }

    /** The one that can tell most. */
    public static ToeMethod seeingMost() {
        return ALL.stream()
                .max(Comparator.comparing(method -> method.sight().sees().size()))
                .orElseThrow();
    }
}
