package app.galdrin.core.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;

/** An input whose every field is legal by its {@link Shape}. Numbers leave it in the core's units: angles in radians. */
public final class Input {

    private final JsonObject object;

    Input(JsonObject object) {
        this.object = object;
    }

    public boolean has(Field field) {
        return object.has(field.name());
    }

    /** Of a number that must be there. */
    public double number(NumberField field) {
        return field.unit().toCore(asWritten(field));
    }

    /** A number that must be there in the record's unit, for limits that are exact in it. */
    public double asWritten(NumberField field) {
        return (Double) Objects.requireNonNull(object.get(field.name()), field.name());
    }

    public OptionalDouble optional(NumberField field) {
        return has(field) ? OptionalDouble.of(number(field)) : OptionalDouble.empty();
    }

    public double number(NumberField field, double otherwise) {
        return has(field) ? number(field) : otherwise;
    }

    /** The meaning of a word that must be there. */
    public <T> T word(WordField<T> field) {
        return optional(field).orElseThrow();
    }

    public <T> Optional<T> optional(WordField<T> field) {
        return object.get(field.name()) instanceof String word
                ? Optional.ofNullable(field.words().get(word))
                : Optional.empty();
    }

    /** Of a text that must be there. */
    public String text(TextField field) {
        return (String) Objects.requireNonNull(object.get(field.name()), field.name());
    }

    public Optional<Boolean> optional(FlagField field) {
        return object.get(field.name()) instanceof Boolean flag ? Optional.of(flag) : Optional.empty();
    }

    /** A group that must be there. */
    public Input group(GroupField field) {
        return optional(field).orElseThrow();
    }

    public Optional<Input> optional(GroupField field) {
        return object.get(field.name()) instanceof JsonObject inner ? Optional.of(new Input(inner)) : Optional.empty();
    }

    /** The elements of a list that must be there. */
    public List<Input> list(ListField field) {
        List<?> elements = (List<?>) Objects.requireNonNull(object.get(field.name()), field.name());
        List<Input> inputs = new ArrayList<>(elements.size());
        for (Object element : elements) {
            inputs.add(new Input((JsonObject) element));
        }
        return inputs;
    }

    /** Whether the record asked for uncertainties: it has a {@code u}, empty or not. */
    boolean wantsDoubt() {
        return object.has(GroupField.U);
    }

    /** Standard uncertainty of a reading class, in the core's unit; 0 where the class was left out. */
    public double u(NumberField readingClass) {
        return object.get(GroupField.U) instanceof JsonObject u ? new Input(u).number(readingClass, 0) : 0;
    }
}
