package app.galdrin.core.task;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * A grade and where it begins.
 *
 * @param name as the instructor has it
 * @param from whole percent of the marks, 0 to 100
 */
public record Grade(String name, int from) {

    public static final int LONGEST_NAME = 24;
    public static final int MOST = 8;

    /** The highest that is reached; the grades are those of a scheme, the lowest first. */
    public static Optional<Grade> of(BigDecimal percent, List<Grade> grades) {
        return grades.stream()
                .filter(grade -> percent.compareTo(BigDecimal.valueOf(grade.from())) >= 0)
                .reduce((lower, higher) -> higher);
    }
}
