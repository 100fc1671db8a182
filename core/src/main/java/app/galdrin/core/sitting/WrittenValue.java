package app.galdrin.core.sitting;

import java.util.OptionalDouble;

/**
 * Value that stands on a line.
 *
 * @param text as written
 * @param value what it was read as: mm, deg or a count; absent for ticks, choices and texts
 * @param step one unit of the last place as written, likewise
 */
public record WrittenValue(String text, OptionalDouble value, OptionalDouble step) {

    public static WrittenValue text(String text) {
        return new WrittenValue(text, OptionalDouble.empty(), OptionalDouble.empty());
    }

    /**
     * A figure in mm, degrees or a count, with its sign, and one unit of the place it was written to, above 0.
     *
     * @param value mm, deg or a count, with its sign
     * @param step the place it was written to, mm, deg or a count
     */
    public static WrittenValue number(String text, double value, double step) {
        return new WrittenValue(text, OptionalDouble.of(value), OptionalDouble.of(step));
    }
}
