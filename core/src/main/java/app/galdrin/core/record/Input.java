package app.galdrin.core.record;

import app.galdrin.core.Keyed;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** An input whose every field is legal by its {@link Shape}. Numbers leave it in the core's units: angles in radians. */
public final class Input {

    private final Shape shape;
    private final @Nullable Object[] values;

    /** {@code values} stand as the shape's fields do; null where a field is absent. */
    Input(Shape shape, @Nullable Object[] values) {
        this.shape = shape;
        this.values = values;
    }

    private @Nullable Object value(Field field) {
        int index = shape.indexOf(field);
        if (index < 0) {
            throw new IllegalArgumentException(field.name() + " is a field of another shape");
        }
        return values[index];
    }

    private Object needed(Field field) {
        return Objects.requireNonNull(value(field), field.name());
    }

    /** Returns whether the record has a field. */
    public boolean has(Field field) {
        return value(field) != null;
    }

    /** Returns a number that must be present, in the core's unit, mm or rad. */
    public double number(NumberField field) {
        return field.unit().toCore(asWritten(field));
    }

    /** A number that must be there in the record's unit, for limits that are exact in it. */
    public double asWritten(NumberField field) {
        return (Double) needed(field);
    }

    /**
     * Returns a number in the record's unit, as is the number that stands for one left out.
     *
     * @param otherwise in the unit of the record, mm or deg
     */
    public double asWritten(NumberField field, double otherwise) {
        return value(field) instanceof Double written ? written : otherwise;
    }

    /** Returns the number in the core's unit, mm or rad. */
    public OptionalDouble optional(NumberField field) {
        return has(field) ? OptionalDouble.of(number(field)) : OptionalDouble.empty();
    }

    /**
     * Returns a number in the core's unit, mm or rad, as is the number that stands for one left out.
     *
     * @param otherwise mm or rad
     */
    public double number(NumberField field, double otherwise) {
        return value(field) instanceof Double written ? field.unit().toCore(written) : otherwise;
    }

    /** The meaning of a word that must be there. */
    @SuppressWarnings("unchecked") // a word field's legal values are its meanings
    public <T extends Keyed> T word(WordField<T> field) {
        return (T) needed(field);
    }

    public <T extends Keyed> Optional<T> optional(WordField<T> field) {
        return has(field) ? Optional.of(word(field)) : Optional.empty();
    }

    /** Returns a text that must be present. */
    public String text(TextField field) {
        return (String) needed(field);
    }

    public boolean flag(FlagField field, boolean otherwise) {
        return value(field) instanceof Boolean flag ? flag : otherwise;
    }

    /** A group that must be there. */
    public Input group(GroupField field) {
        return (Input) needed(field);
    }

    public Optional<Input> optional(GroupField field) {
        return has(field) ? Optional.of(group(field)) : Optional.empty();
    }

    /** The elements of a list that must be there. */
    @SuppressWarnings("unchecked") // a list field's legal values are lists of inputs
    public List<Input> list(ListField field) {
        return (List<Input>) needed(field);
    }

    /** Standard uncertainty of a reading class, in the core's unit; 0 where the class was left out. */
    public double u(NumberField readingClass) {
        Input u = uncertainties();
        return u == null ? 0 : u.number(readingClass, 0);
    }

    /** Returns whether the record asked for uncertainties: it has a {@code u}, empty or not. */
    boolean wantsDoubt() {
        return uncertainties() != null;
    }

    /** The group u is the last field of a kind that has it. */
    private @Nullable Input uncertainties() {
        return values[values.length - 1] instanceof Input u ? u : null;
    }
}
