package app.galdrin.core;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A fault of an input.
 *
 * @param code the kind of fault
 * @param field dotted path of the field it was found at; empty where the whole line is at fault
 * @param read what stood there, shortened; empty where nothing did, or where the field says it all
 */
public record Fault(FaultCode code, Optional<String> field, Optional<String> read) {

    /** Greatest number of letters shown of what was read. */
    private static final int MOST_TOLD = 40;

    public Fault(FaultCode code, Optional<String> field) {
        this(code, field, Optional.empty());
    }

    public static Fault at(FaultCode code, String field) {
        return new Fault(code, Optional.of(field));
    }

    /** The same fault with what was read there: a text, a number, or any other value of a document. */
    public Fault reading(@Nullable Object value) {
        String text = String.valueOf(value);
        return new Fault(
                code, field, Optional.of(text.length() > MOST_TOLD ? text.substring(0, MOST_TOLD) + "…" : text));
    }

    /** The same fault, seen from the object that holds this one under {@code name}. */
    public Fault under(String name) {
        return new Fault(code, field.map(f -> name + "." + f), read);
    }

    public static Fault ofLine() {
        return new Fault(FaultCode.MALFORMED, Optional.empty());
    }
}
