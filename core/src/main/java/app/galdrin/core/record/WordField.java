package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * A text that is one of a few words.
 *
 * @param words every legal word with its meaning, in the order of the documentation
 * @param key the word of a meaning
 */
public record WordField<T>(String name, Map<String, T> words, Function<T, String> key, boolean required)
        implements Field {

    @SafeVarargs
    public static <T> WordField<T> of(String name, Function<T, String> key, T... meanings) {
        Map<String, T> words = new LinkedHashMap<>();
        for (T meaning : meanings) {
            words.put(key.apply(meaning), meaning);
        }
        return new WordField<>(name, words, key, true);
    }

    /** Words that mean themselves. */
    public static WordField<String> ofTexts(String name, String... words) {
        return of(name, word -> word, words);
    }

    /** The same field, but it may be left out. */
    public WordField<T> optional() {
        return new WordField<>(name, words, key, false);
    }

    @Override
    public Optional<Fault> fault(@Nullable Object value) {
        if (!(value instanceof String word)) {
            return Optional.of(Fault.at(FaultCode.MALFORMED, name));
        }
        return words.containsKey(word) ? Optional.empty() : Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, name));
    }
}
