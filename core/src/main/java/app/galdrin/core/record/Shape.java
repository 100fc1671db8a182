package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The fields of an object, in the order in which they are checked. The first fault counts: a name that does not belong
 * there (of several, the first in code-point order), then every field for absence, type and range, inner objects and lists
 * completely at their place.
 */
public final class Shape {

    private final List<Field> fields;

    private Shape(List<Field> fields) {
        this.fields = fields;
    }

    public static Shape of(Field... fields) {
        return new Shape(List.of(fields));
    }

    /** This shape with the optional group {@code u} of standard uncertainties by reading class at its end. */
    public Shape withU(NumberField... classes) {
        Field u = GroupField.uncertainties(classes);
        return new Shape(Stream.concat(fields.stream(), Stream.of(u)).toList());
    }

    public List<Field> fields() {
        return fields;
    }

    public Optional<Field> field(String name) {
        for (Field field : fields) {
            if (field.name().equals(name)) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    /** The object's values, if all of them are legal. */
    public Outcome<Input> read(JsonObject object) {
        Optional<Fault> fault = fault(object);
        return fault.isPresent() ? new Outcome.Failed<>(fault.get()) : Outcome.of(new Input(object));
    }

    Optional<Fault> fault(JsonObject object) {
        Optional<Fault> unknown = unknown(object);
        if (unknown.isPresent()) {
            return unknown;
        }
        for (Field field : fields) {
            Optional<Fault> fault = object.has(field.name()) ? field.fault(object.get(field.name())) : absent(field);
            if (fault.isPresent()) {
                return fault;
            }
        }
        return Optional.empty();
    }

    private static Optional<Fault> absent(Field field) {
        return field.required() ? Optional.of(Fault.at(FaultCode.MISSING, field.name())) : Optional.empty();
    }

    private Optional<Fault> unknown(JsonObject object) {
        for (int i = 0; i < object.size(); i++) {
            if (field(object.name(i)).isEmpty()) {
                return IntStream.range(i, object.size())
                        .mapToObj(object::name)
                        .filter(name -> field(name).isEmpty())
                        .min(BY_CODE_POINT)
                        .map(name -> Fault.at(FaultCode.UNKNOWN_FIELD, name));
            }
        }
        return Optional.empty();
    }

    /** UTF-16 order and code-point order differ above U+FFFF. */
    private static final Comparator<String> BY_CODE_POINT =
            (a, b) -> Arrays.compare(a.codePoints().toArray(), b.codePoints().toArray());
}
