package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The fields of an object, in the order in which they are checked. The first fault counts: a name that does not belong
 * there (of several, the first in code-point order), then every field for absence, type and range, inner objects and lists
 * completely at their place.
 */
public final class Shape {

    /** Stands for a null of the record, which is not an absent field. */
    private static final Object NULL = new Object();

    private final Field[] fields;

    private Shape(Field[] fields) {
        this.fields = fields;
    }

    /** Makes the shape of an object with these fields. */
    public static Shape of(Field... fields) {
        return new Shape(fields.clone());
    }

    /** Returns this shape with the optional group {@code u} of standard uncertainties by reading class at its end. */
    public Shape withU(NumberField... classes) {
        Field u = GroupField.uncertainties(classes);
        return new Shape(Stream.concat(Arrays.stream(fields), Stream.of(u)).toArray(Field[]::new));
    }

    /** Returns its fields in their order. */
    public List<Field> fields() {
        return List.of(fields);
    }

    /** Returns the field of a name. */
    public Optional<Field> field(String name) {
        int index = indexOf(name, 0);
        return index < 0 ? Optional.empty() : Optional.of(fields[index]);
    }

    boolean hasU() {
        return fields.length > 0
                && fields[fields.length - 1] instanceof GroupField group
                && group.name().equals(GroupField.U);
    }

    /** The field that stands there, 0 and up. */
    Field at(int index) {
        return fields[index];
    }

    /** Room for a value of every field. */
    @Nullable
    Object[] blank() {
        return new Object[fields.length];
    }

    /** Returns the position of a field; −1 for a field of another shape. */
    int indexOf(Field field) {
        int index = fields.length - 1;
        while (index >= 0 && fields[index] != field) {
            index--;
        }
        return index;
    }

    /** The object's values, if all of them are legal. */
    public Outcome<Input> read(JsonObject object) {
        Object legal = legal(object);
        return legal instanceof Input input ? Outcome.of(input) : new Failure<>((Fault) legal);
    }

    /** An {@link Input}, or the first {@link Fault}. */
    Object legal(JsonObject object) {
        @Nullable Object[] values = new Object[fields.length];
        int next = 0;
        for (int i = 0; i < object.size(); i++) {
            int index = indexOf(object.name(i), next);
            if (index < 0) {
                return unknown(object);
            }
            Object value = object.value(i);
            values[index] = value == null ? NULL : value;
            next = index + 1;
        }
        for (int i = 0; i < values.length; i++) {
            Object value = values[i];
            if (value != null) {
                Object legal = fields[i].legal(value == NULL ? null : value);
                if (legal instanceof Fault) {
                    return legal;
                }
                values[i] = legal;
            } else if (fields[i].required()) {
                return Fault.at(FaultCode.MISSING, fields[i].name());
            }
        }
        return new Input(this, values);
    }

    /** Looks from {@code start} on and round, since records mostly keep the order of the documentation. */
    private int indexOf(String name, int start) {
        for (int i = start; i < fields.length; i++) {
            if (fields[i].name().equals(name)) {
                return i;
            }
        }
        for (int i = 0; i < Math.min(start, fields.length); i++) {
            if (fields[i].name().equals(name)) {
                return i;
            }
        }
        return -1;
    }

    private Fault unknown(JsonObject object) {
        return IntStream.range(0, object.size())
                .mapToObj(object::name)
                .filter(name -> indexOf(name, 0) < 0)
                .min(BY_CODE_POINT)
                .map(name -> Fault.at(FaultCode.UNKNOWN_FIELD, name))
                .orElseThrow();
    }

    /** UTF-16 order and code-point order differ above U+FFFF. */
    private static final Comparator<String> BY_CODE_POINT =
            (a, b) -> Arrays.compare(a.codePoints().toArray(), b.codePoints().toArray());
}
