package app.galdrin.core;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A constant with a name of its own in records, documents, the database and message keys. */
public interface Keyed {
    /** The name in records and message keys. */
    String key();

    /** The constant of this name among these. */
    static <T extends Keyed> Optional<T> find(T[] constants, String key) {
        return find(Arrays.asList(constants), key);
    }

    /** The constant of this name among these. */
    static <T extends Keyed> Optional<T> find(List<T> constants, String key) {
        for (T constant : constants) {
            if (constant.key().equals(key)) {
                return Optional.of(constant);
            }
        }
        return Optional.empty();
    }

    /**
     * Returns the constant of a name that this program wrote.
     *
     * @throws IllegalStateException if there is none of this name
     */
    static <T extends Keyed> T of(T[] constants, String key) {
        return find(constants, key).orElseThrow(() -> new IllegalStateException("no constant with key " + key));
    }
}
