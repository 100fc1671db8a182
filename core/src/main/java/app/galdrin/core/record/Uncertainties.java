package app.galdrin.core.record;

import java.util.Map;

/**
 * The {@code u} of a record: standard uncertainties by reading class.
 *
 * @param given whether the record had a {@code u} at all, empty or not
 */
public record Uncertainties(boolean given, Map<String, Double> byClass) {

    /** Of a class of lengths, mm; 0 where it was left out. */
    public double length(String readingClass) {
        return byClass.getOrDefault(readingClass, 0.0);
    }

    /** Of a class of angles, rad; 0 where it was left out. */
    public double angle(String readingClass) {
        return Math.toRadians(byClass.getOrDefault(readingClass, 0.0));
    }
}
