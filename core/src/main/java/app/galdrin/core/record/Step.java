package app.galdrin.core.record;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/**
 * One step of a calculation: the formula, the numbers that go in and the number that comes out.
 *
 * @param formula how it is worked
 * @param in in the order in which the formula names them
 */
public record Step(Formula formula, List<Term> in, Term out) {

    /**
     * A number with its name.
     *
     * @param name a record's field, or the symbol of an intermediate figure
     * @param value in the core's unit: mm, rad
     */
    public record Term(String name, double value, FieldUnit unit) {

        /** The number as records have it: mm, degrees. */
        public double inRecord() {
            return unit.toRecord(value);
        }
    }

    public Step {
        in = List.copyOf(in);
    }

    /**
     * The steps of a working that a figure rests on, in their order.
     *
     * @param figure the name of a step's out
     */
    public static List<Step> leadingTo(String figure, List<Step> working) {
        Set<String> wanted = new HashSet<>(Set.of(figure));
        Deque<Step> steps = new ArrayDeque<>();
        for (int i = working.size() - 1; i >= 0; i--) {
            Step step = working.get(i);
            if (wanted.contains(step.out().name())) {
                steps.addFirst(step);
                step.in().forEach(term -> wanted.add(term.name()));
            }
        }
        return List.copyOf(steps);
    }

    /** Writes the step as an object: the formula, the inputs and the result, in the units of records (deg, mm). */
    public void write(JsonGenerator json) {
        json.writeStartObject();
        json.writeStringProperty("formula", formula.key());
        json.writeObjectPropertyStart("in");
        in.forEach(term -> json.writeNumberProperty(term.name(), term.inRecord()));
        json.writeEndObject();
        json.writeObjectPropertyStart("out");
        json.writeNumberProperty(out.name(), out.inRecord());
        json.writeEndObject();
        json.writeEndObject();
    }

    /**
     * Works the step with other numbers.
     *
     * @param off by how much each is another, mm or rad, by the names of its numbers
     * @return mm or rad; empty where the formula can't be worked again, or not from such numbers
     */
    public OptionalDouble reworked(Map<String, Double> off) {
        double[] other = in.stream()
                .mapToDouble(term -> term.value() + off.getOrDefault(term.name(), 0.0))
                .toArray();
        return formula.work(in.get(0).value(), out.value(), other);
    }

    /** Begins a step that is not worked again with other numbers. */
    public static Builder of(String formula) {
        return of(Formula.of(formula));
    }

    /** Begins a step. */
    public static Builder of(Formula formula) {
        return new Builder(formula);
    }

    /** The numbers that go into a step, one after another. */
    public static final class Builder {
        private final Formula formula;
        private final List<Term> in = new ArrayList<>();

        private Builder(Formula formula) {
            this.formula = formula;
        }

        /**
         * Returns the number in the core's unit, mm or rad.
         *
         * @param value mm or rad
         */
        public Builder with(NumberField field, double value) {
            return with(field.name(), field.unit(), value);
        }

        /**
         * Adds a value in the core's unit, mm or rad; {@code unit} is how it is shown.
         *
         * @param value mm or rad
         */
        public Builder with(String name, FieldUnit unit, double value) {
            in.add(new Term(name, value, unit));
            return this;
        }

        /**
         * Returns the number in the core's unit, mm or rad.
         *
         * @param value mm or rad
         */
        public Step gives(NumberField field, double value) {
            return gives(field.name(), field.unit(), value);
        }

        /**
         * Adds a value in the core's unit, mm or rad; {@code unit} is how it is shown.
         *
         * @param value mm or rad
         */
        public Step gives(String name, FieldUnit unit, double value) {
            return new Step(formula, in, new Term(name, value, unit));
        }
    }
}
