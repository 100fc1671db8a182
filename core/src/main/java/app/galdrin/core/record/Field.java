package app.galdrin.core.record;

import app.galdrin.core.Fault;
import org.jspecify.annotations.Nullable;

/**
 * One field of a record's input or result: its name, which is also the place on a sketch and the key of its words; its
 * type; and whether it must be there. The one declaration that checking, the JSON schema, CSV and the documentation use.
 */
public sealed interface Field permits NumberField, WordField, TextField, FlagField, GroupField, ListField {

    /** Returns its name in records. */
    String name();

    /** Returns whether a record must have it. */
    boolean required();

    /**
     * Returns what an {@link Input} keeps of a value that is there, after checking its type and then its range.
     *
     * @param value as {@link JsonLines} reads it
     * @return the legal value, or a {@link Fault} whose path begins with this field's name
     */
    Object legal(@Nullable Object value);
}
