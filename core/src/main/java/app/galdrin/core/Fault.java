package app.galdrin.core;

import java.util.Optional;

/**
 * What is wrong with an input.
 *
 * @param code the kind of fault
 * @param field dotted path of the field it was found at; empty where the whole line is at fault
 */
public record Fault(FaultCode code, Optional<String> field) {

    public static Fault at(FaultCode code, String field) {
        return new Fault(code, Optional.of(field));
    }

    /** The same fault, seen from the object that holds this one under {@code name}. */
    public Fault under(String name) {
        return new Fault(code, field.map(f -> name + "." + f));
    }

    public static Fault ofLine() {
        return new Fault(FaultCode.MALFORMED, Optional.empty());
    }
}
