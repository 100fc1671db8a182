package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Keyed;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A text that is one of a few words.
 *
 * @param words every legal word with its meaning, in the order of the documentation
 */
public record WordField<T extends Keyed>(String name, Map<String, T> words, boolean required) implements Field {

    /** The keys of these constants. */
    @SafeVarargs
    public static <T extends Keyed> WordField<T> of(String name, T... meanings) {
        Map<String, T> words = new LinkedHashMap<>();
        for (T meaning : meanings) {
            words.put(meaning.key(), meaning);
        }
        return new WordField<>(name, words, true);
    }

    /** The same field, but it may be left out. */
    public WordField<T> optional() {
        return new WordField<>(name, words, false);
    }

    @Override
    public Object legal(@Nullable Object value) {
        if (!(value instanceof String word)) {
            return Fault.at(FaultCode.MALFORMED, name);
        }
        T meaning = words.get(word);
        return meaning == null ? Fault.at(FaultCode.OUT_OF_RANGE, name) : meaning;
    }
}
