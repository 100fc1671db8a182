package app.galdrin.web.words;

import java.io.Serializable;
import java.util.List;

/**
 * A sentence to be said: its key in the messages and what stands in it. Kept in a session from one page to the next, so
 * what stands in it has to be serializable too.
 */
public record Sentence(String key, List<Object> args) implements Serializable {

    private static final long serialVersionUID = 1L;

    public static Sentence of(String key, Object... args) {
        return new Sentence(key, List.of(args));
    }
}
