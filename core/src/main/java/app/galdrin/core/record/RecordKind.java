package app.galdrin.core.record;

import app.galdrin.core.Outcome;

/** One kind of measurement record. */
public interface RecordKind {

    /** The name in the record's {@code kind}. */
    String name();

    /** Reads the input's fields in their order and works them. */
    Outcome<Figures> evaluate(Fields input);
}
