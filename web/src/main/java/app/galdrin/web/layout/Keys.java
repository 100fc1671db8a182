package app.galdrin.web.layout;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.Function;

/** Constants by the key they have in forms, in the database and in messages. */
public final class Keys {

    private Keys() {}

    public static <T> Optional<T> find(T[] values, Function<T, String> key, String wanted) {
        return Arrays.stream(values).filter(v -> key.apply(v).equals(wanted)).findFirst();
    }

    /**
     * For keys that were written by this program.
     *
     * @throws IllegalStateException if there is none
     */
    public static <T> T of(T[] values, Function<T, String> key, String wanted) {
        return find(values, key, wanted).orElseThrow(() -> new IllegalStateException("no constant with key " + wanted));
    }
}
