package app.galdrin.core.draft;

import java.util.List;

/** Refusal of what was typed into a field. */
public final class FieldRefusal extends Exception {

    private static final long serialVersionUID = 1L;

    private final String key;
    private final String typed;
    private final transient List<Object> limits;

    /**
     * A refusal with its sentence.
     *
     * @param key of the sentence
     * @param typed what was read
     * @param limits what is allowed, in the order of the sentence
     */
    public FieldRefusal(String key, String typed, Object... limits) {
        super(key);
        this.key = key;
        this.typed = typed;
        this.limits = List.of(limits);
    }

    /** Returns the key of its sentence. */
    public String key() {
        return key;
    }

    /** Returns what was read. */
    public String typed() {
        return typed;
    }

    /** Returns what is allowed, in the order of the sentence. */
    public List<Object> limits() {
        return limits;
    }
}
