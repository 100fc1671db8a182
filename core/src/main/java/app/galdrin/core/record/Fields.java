package app.galdrin.core.record;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * The fields of a record's input, read strictly and in order. The first fault sticks: whatever is read after it comes back
 * as a harmless stand-in and {@link #then} gives the fault. Angles leave here as radians.
 */
public final class Fields {

    private final Map<String, @Nullable Object> values;
    private final String path;
    private final FirstFault first;

    /** Shared by an input and the objects inside it. */
    private static final class FirstFault {
        private @Nullable Fault fault;
    }

    private Fields(Map<String, @Nullable Object> values, String path, FirstFault first) {
        this.values = values;
        this.path = path;
        this.first = first;
    }

    /** Fields of a JSON object as {@link JsonText} reads it. */
    public static Fields of(Map<String, @Nullable Object> values) {
        return new Fields(values, "", new FirstFault());
    }

    /** Faults a name that is not one of these: of several, the first in code-point order. */
    public void only(String... names) {
        if (failed()) {
            return;
        }
        var known = Arrays.asList(names);
        values.keySet().stream()
                .filter(name -> !known.contains(name))
                .min(BY_CODE_POINT)
                .ifPresent(name -> fail(FaultCode.UNKNOWN_FIELD, name));
    }

    /** UTF-16 order and code-point order differ above U+FFFF. */
    private static final Comparator<String> BY_CODE_POINT =
            (a, b) -> Arrays.compare(a.codePoints().toArray(), b.codePoints().toArray());

    /** A number that must be there. */
    public double number(String name, Range range) {
        if (failed() || absent(name)) {
            return 0;
        }
        return optionalNumber(name, range).orElse(0);
    }

    /** A number, if it is there. */
    public OptionalDouble optionalNumber(String name, Range range) {
        if (failed() || !values.containsKey(name)) {
            return OptionalDouble.empty();
        }
        if (!(values.get(name) instanceof Double number) || !Double.isFinite(number)) {
            fail(FaultCode.NOT_A_NUMBER, name);
            return OptionalDouble.empty();
        }
        if (!range.contains(number)) {
            fail(FaultCode.OUT_OF_RANGE, name);
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(number);
    }

    /** An angle that must be there, in rad; the range is in degrees. */
    public double angle(String name, Range range) {
        return Math.toRadians(number(name, range));
    }

    /** An angle, if it is there, in rad; the range is in degrees. */
    public OptionalDouble optionalAngle(String name, Range range) {
        OptionalDouble degrees = optionalNumber(name, range);
        return degrees.isPresent() ? OptionalDouble.of(Math.toRadians(degrees.getAsDouble())) : degrees;
    }

    /** A text that must be there. */
    public String text(String name) {
        if (failed() || absent(name)) {
            return "";
        }
        if (values.get(name) instanceof String text) {
            return text;
        }
        fail(FaultCode.MALFORMED, name);
        return "";
    }

    /** A text that must be one of the listed words. */
    public <T> T word(String name, Map<String, T> words) {
        T standIn = words.values().iterator().next();
        if (failed() || absent(name)) {
            return standIn;
        }
        return word(name, words, standIn);
    }

    /** A text that, if it is there, must be one of the listed words. */
    public <T> T word(String name, Map<String, T> words, T otherwise) {
        if (failed() || !values.containsKey(name)) {
            return otherwise;
        }
        T meaning = words.get(text(name));
        if (meaning == null) {
            fail(FaultCode.OUT_OF_RANGE, name);
            return otherwise;
        }
        return meaning;
    }

    /** An object that must be there. */
    public Fields object(String name) {
        if (!failed() && !absent(name)) {
            Optional<Fields> inner = optionalObject(name);
            if (inner.isPresent()) {
                return inner.get();
            }
        }
        return new Fields(Map.of(), path + name + ".", first);
    }

    /** An object, if it is there. */
    @SuppressWarnings("unchecked") // JsonText makes its objects with text keys only
    public Optional<Fields> optionalObject(String name) {
        if (failed() || !values.containsKey(name)) {
            return Optional.empty();
        }
        if (values.get(name) instanceof Map<?, ?> inner) {
            return Optional.of(new Fields((Map<String, @Nullable Object>) inner, path + name + ".", first));
        }
        fail(FaultCode.MALFORMED, name);
        return Optional.empty();
    }

    /** The {@code u} with its classes, the last field of a kind that has it. */
    public Uncertainties uncertainties(String... classes) {
        Optional<Fields> u = optionalObject("u");
        Map<String, Double> byClass = new HashMap<>();
        u.ifPresent(fields -> {
            fields.only(classes);
            for (String readingClass : classes) {
                fields.optionalNumber(readingClass, Range.UNCERTAINTY)
                        .ifPresent(value -> byClass.put(readingClass, value));
            }
        });
        return new Uncertainties(u.isPresent(), byClass);
    }

    /** The calculation's outcome, or the first fault of the fields read so far. */
    public <T> Outcome<T> then(Supplier<Outcome<T>> calculation) {
        Fault fault = first.fault;
        return fault == null ? calculation.get() : new Outcome.Failed<>(fault);
    }

    private boolean failed() {
        return first.fault != null;
    }

    private boolean absent(String name) {
        if (!values.containsKey(name)) {
            fail(FaultCode.MISSING, name);
            return true;
        }
        return false;
    }

    private void fail(FaultCode code, String name) {
        if (!failed()) {
            first.fault = Fault.at(code, path + name);
        }
    }
}
