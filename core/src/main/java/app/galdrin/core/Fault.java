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

    public static Fault ofLine() {
        return new Fault(FaultCode.MALFORMED, Optional.empty());
    }
}
