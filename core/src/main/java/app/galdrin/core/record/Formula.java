package app.galdrin.core.record;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * Formula of a step of a calculation. It can be worked with other numbers, so that the result of a person's own intermediate figure can be told.
 */
public final class Formula {

    /** Operation of a person at a step, to which slips refer. */
    public enum Operation {
        /** Takes two readings from one another, by itself or on the way to a toe. */
        DIFFERENCE,
        /** Puts both wheels together. */
        TOTAL,
        /** Turns a length into an angle, over the length that was read along. */
        OVER_LENGTH,
        /** Takes the skew of a line off. */
        SKEW,
        /** Takes a difference over twice a length. */
        DOUBLED,
        /** Takes the slope of the floor off. */
        FLOOR,
        /** Takes the slope of a frame off. */
        FRAME,
        /** Turns what a gauge shows into what it leans from plumb. */
        PLUMB,
        /** Puts the two cambers of a sweep together. */
        CAMBERS,
        /** Works the factor of a sweep. */
        FACTOR
    }

    private final String key;
    private final Set<Operation> operations;
    private final boolean movesWithFirst;
    private final @Nullable ToDoubleFunction<double[]> function;

    private Formula(
            String key,
            Set<Operation> operations,
            boolean movesWithFirst,
            @Nullable ToDoubleFunction<double[]> function) {
        this.key = key;
        this.operations = operations;
        this.movesWithFirst = movesWithFirst;
        this.function = function;
    }

    /** Makes one with its name, which has its words on the pages and its line in the documentation. */
    public static Formula of(String key, Operation... operations) {
        return new Formula(key, Set.of(operations), false, null);
    }

    /** Returns the same, worked so from the numbers of a step in their order, mm and rad. */
    public Formula worked(ToDoubleFunction<double[]> how) {
        return new Formula(key, operations, movesWithFirst, how);
    }

    /** Returns the same, which moves by what its first number moves: what the others do to the change is too small to tell. */
    public Formula movingWithFirst() {
        return new Formula(key, operations, true, null);
    }

    /** Returns its name. */
    public String key() {
        return key;
    }

    /** Returns whether a person does this at a step of it. */
    public boolean has(Operation operation) {
        return operations.contains(operation);
    }

    /** Returns what a person does at a step of it, in the order of {@link Operation}. */
    public List<Operation> operations() {
        return operations.stream().sorted().toList();
    }

    /** Returns whether it can be worked again with other numbers. */
    public boolean isKnown() {
        return movesWithFirst || function != null;
    }

    /**
     * Works a step with other numbers than its own.
     *
     * @param first the first number that went into the step, mm or rad
     * @param gave what the step gave of its own numbers, mm or rad
     * @param in other numbers, in their order, mm and rad
     * @return mm or rad; empty where the formula can't be worked again, or not from such numbers
     */
    OptionalDouble work(double first, double gave, double[] in) {
        if (movesWithFirst) {
            return OptionalDouble.of(gave + in[0] - first);
        }
        double worked = function == null ? Double.NaN : function.applyAsDouble(in);
        return Double.isFinite(worked) ? OptionalDouble.of(worked) : OptionalDouble.empty();
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Formula formula && formula.key.equals(key);
    }

    @Override
    public int hashCode() {
        return key.hashCode();
    }

    @Override
    public String toString() {
        return key;
    }
}
