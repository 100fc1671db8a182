package app.galdrin.core.record;

import app.galdrin.core.Fault;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One field of a record's input or result: its name, which is also the place on a sketch and the key of its words; its
 * type; and whether it must be there. The one declaration that checking, the JSON schema, CSV and the documentation use.
 */
public sealed interface Field permits NumberField, WordField, TextField, FlagField, GroupField, ListField {

    String name();

    boolean required();

    /**
     * What is wrong with a value that is there: its type, then its range.
     *
     * @return a fault whose path begins with this field's name
     */
    Optional<Fault> fault(@Nullable Object value);
}
