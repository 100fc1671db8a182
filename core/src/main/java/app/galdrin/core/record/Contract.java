package app.galdrin.core.record;

/**
 * Contract of a kind of record.
 *
 * @param name the name in the record's {@code kind}
 * @param input the fields of the input, in the order in which they are checked
 * @param result the figures of the result; those that carry doubt come again under {@code u} where the input has one
 */
public record Contract(String name, Shape input, Shape result) {

    /** Returns whether uncertainties can be asked for. */
    public boolean hasU() {
        return input.hasU();
    }
}
