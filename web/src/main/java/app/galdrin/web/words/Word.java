package app.galdrin.web.words;

import java.io.Serializable;

/** A word inside a sentence, by its key in the messages. */
public record Word(String key) implements Serializable {
    private static final long serialVersionUID = 1L;
}
