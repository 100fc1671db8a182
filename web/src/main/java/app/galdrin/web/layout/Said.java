package app.galdrin.web.layout;

import java.util.List;

/** A sentence to be said: its key in the messages and what stands in it. */
public record Said(String key, List<Object> args) {

    public static Said of(String key, Object... args) {
        return new Said(key, List.of(args));
    }
}
