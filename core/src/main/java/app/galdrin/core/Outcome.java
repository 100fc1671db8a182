package app.galdrin.core;

import java.util.function.Function;

/**
 * Result of a calculation: a value, or the first fault found in its input. Faults of input are not
 * exceptions; an exception from the core is a defect.
 *
 * @param <T> the value's type
 */
public sealed interface Outcome<T> {

    /** The calculation went through. */
    record Value<T>(T value) implements Outcome<T> {}

    /** The input does not allow the calculation. */
    record Failure<T>(Fault fault) implements Outcome<T> {}

    static <T> Outcome<T> of(T value) {
        return new Value<>(value);
    }

    static <T> Outcome<T> fault(FaultCode code, String field) {
        return new Failure<>(Fault.at(code, field));
    }

    static <T> Outcome<T> fault(Fault fault) {
        return new Failure<>(fault);
    }

    /** The same outcome with its value changed; a fault stays as it is. */
    default <R> Outcome<R> map(Function<? super T, ? extends R> change) {
        if (this instanceof Value<T> v) {
            return new Value<>(change.apply(v.value()));
        }
        return new Failure<>(((Failure<T>) this).fault());
    }

    /** Returns what a further calculation makes of the value; a fault stays as it is. */
    default <R> Outcome<R> flatMap(Function<? super T, Outcome<R>> next) {
        if (this instanceof Value<T> v) {
            return next.apply(v.value());
        }
        return new Failure<>(((Failure<T>) this).fault());
    }

    /**
     * The value where a fault would be a defect of the caller.
     *
     * @throws IllegalStateException naming the fault
     */
    default T orElseThrow() {
        if (this instanceof Value<T> v) {
            return v.value();
        }
        throw new IllegalStateException("no value: " + ((Failure<T>) this).fault());
    }
}
