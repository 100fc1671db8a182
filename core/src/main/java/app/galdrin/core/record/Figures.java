package app.galdrin.core.record;

import app.galdrin.core.Keyed;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The figures of a result in the order they are written. Numbers come in in the core's units (radians) and are kept in the
 * record's (degrees). A figure that is an {@link Estimate} takes its doubt along.
 */
public final class Figures {

    private final JsonObject values = new JsonObject();
    private final JsonObject doubts = new JsonObject();
    private boolean wantsDoubt;

    /** A figure's doubt, in the core's unit until it is written. */
    public record Doubt(NumberField field, Estimate estimate) {

        /** Returns it in the record's unit. */
        public double standardUncertainty() {
            return field.unit().toRecord(estimate.standardUncertainty());
        }
    }

    /**
     * Returns the number in the core's unit, mm or rad.
     *
     * @param value mm or rad
     */
    public Figures set(NumberField field, double value) {
        values.add(field.name(), field.unit().toRecord(value));
        return this;
    }

    /**
     * Sets a figure in the core's unit, mm or rad; left out where it is absent.
     *
     * @param value mm or rad
     */
    public Figures set(NumberField field, OptionalDouble value) {
        value.ifPresent(v -> set(field, v));
        return this;
    }

    /** Sets a figure with its uncertainty, in the core's unit, mm or rad. */
    public Figures set(NumberField field, Estimate estimate) {
        doubts.add(field.name(), new Doubt(field, estimate));
        return set(field, estimate.value());
    }

    /** Sets a figure with its uncertainty if it is present, in the core's unit, mm or rad. */
    public Figures set(NumberField field, Optional<Estimate> estimate) {
        estimate.ifPresent(e -> set(field, e));
        return this;
    }

    /** Sets a text. */
    public Figures set(TextField field, String text) {
        values.add(field.name(), text);
        return this;
    }

    public <T extends Keyed> Figures set(WordField<T> field, T meaning) {
        values.add(field.name(), meaning.key());
        return this;
    }

    /** Sets yes or no. */
    public Figures set(FlagField field, boolean flag) {
        values.add(field.name(), flag);
        return this;
    }

    /** Sets an object. */
    public Figures set(GroupField field, Figures inner) {
        values.add(field.name(), inner.values);
        if (inner.doubts.size() > 0) {
            doubts.add(field.name(), inner.doubts);
        }
        return this;
    }

    /** Sets a list of objects. */
    public Figures set(ListField field, List<Figures> elements) {
        values.add(field.name(), elements.stream().map(e -> e.values).toList());
        return this;
    }

    /** Says that the record asked for uncertainties. */
    Figures withDoubt(boolean wanted) {
        wantsDoubt = wanted;
        return this;
    }

    /** Returns whether the record asked for uncertainties. */
    public boolean wantsDoubt() {
        return wantsDoubt;
    }

    /** Name to number, text, true or false, object or list. */
    public JsonObject values() {
        return values;
    }

    /** Name to {@link Doubt}, or to an object of doubts in the shape of the result. */
    public JsonObject doubts() {
        return doubts;
    }
}
