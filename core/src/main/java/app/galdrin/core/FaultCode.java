package app.galdrin.core;

/** The kinds of input fault, named as in the measurement-record format. */
public enum FaultCode {
    MALFORMED("malformed"),
    UNKNOWN_KIND("unknownKind"),
    MISSING("missing"),
    NOT_A_NUMBER("notANumber"),
    OUT_OF_RANGE("outOfRange"),
    UNKNOWN_FIELD("unknownField"),
    INSUFFICIENT("insufficient"),
    INCONSISTENT("inconsistent");

    private final String key;

    FaultCode(String key) {
        this.key = key;
    }

    /** The code as it is written in a result, and the key of its message. */
    public String key() {
        return key;
    }
}
